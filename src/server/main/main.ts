import { readFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { heedReplication, openApp, type App } from '../app/app';
import { listedSites } from '../base/site-list';
import { clockFrom, type Clock } from '../base/clock';
import { hostNames, isOwnMachine } from '../http/guard';
import { writerInThread } from '../writing/in-thread';
import { wholeOf } from '../jobs/job';
import { workerJobs } from '../jobs/workers';
import type { Damage } from '../keep/verify';
import { createHttpServer, listen, stop, type PageHandler, type Tls } from '../http/server';

/** Folder of the build. */
const DIST = dirname(dirname(fileURLToPath(import.meta.url)));

/** Where data are kept unless `YENDRAL_DATA` says otherwise. */
export const dataFolder = (): string => resolve(process.env.YENDRAL_DATA ?? 'data');

/** The machine's clock, or the one that `YENDRAL_NOW` sets. */
export const environmentClock = (): Clock => clockFrom(process.env.YENDRAL_NOW);

/** Opens the data folder as the environment says. */
export function appFromEnvironment(): App {
  const app = openApp(dataFolder(), join(DIST, 'migrations'), environmentClock(), Boolean(process.env.YENDRAL_NOW));
  const most = Number(process.env.YENDRAL_WHOLE_MOST || NaN);
  if (Number.isInteger(most) && most >= 0) app.wholeMost = most;
  return app;
} // prettier-ignore

/** How often the server looks whether it is replicated, ms. */
const HEED_MS = 5000;

/** Starts the server on an open app, prints its address, and stops it on SIGTERM or SIGINT. */
export async function serve(app: App): Promise<void> {
  const port = readPort(process.env.PORT);
  const host = process.env.HOST || '127.0.0.1';
  needOpen(host, process.argv.slice(2));
  const { handler } = (await import(pathToFileURL(join(DIST, 'server', 'entry.mjs')).href)) as {
    handler: PageHandler;
  };
  const csp = readFileSync(join(DIST, 'csp.txt'), 'utf8').trim();
  const tls = tlsFrom(process.argv.slice(2));
  const hosts = hostNames(host, process.env.YENDRAL_HOSTS);
  await writeBeside(app);
  const server = createHttpServer({ app, handler, client: join(DIST, 'client'), csp, hosts, tls });
  const bound = await listen(server, port, host);
  console.log(
    `Yendral is ready: ${tls ? 'https' : 'http'}://${host === '0.0.0.0' ? 'localhost' : host}:${bound}/`,
  );
  app.jobs = workerJobs(join(DIST, 'cli', 'job.mjs'));
  if (app.unclean) void lookThrough(app);
  setInterval(() => heedReplication(app), HEED_MS).unref();
  let stopping = false;
  const end = (signal: string) => {
    if (stopping) return;
    stopping = true;
    console.log(`${signal}: ending streams and closing the database.`);
    void stop(server, app).then(() => process.exit(0));
  };
  process.on('SIGTERM', () => end('SIGTERM'));
  process.on('SIGINT', () => end('SIGINT'));
}

/** From here on a thread of its own writes into the sites, and this one reads. */
async function writeBeside(app: App): Promise<void> {
  app.refresher.stop();
  listedSites(app);
  app.sites.onlyRead();
  const data = {
    folder: app.folder,
    migrations: join(DIST, 'migrations'),
    now: process.env.YENDRAL_NOW,
    worker: join(DIST, 'cli', 'job.mjs'),
  };
  app.writer = writerInThread(app.events, join(DIST, 'cli', 'writer.mjs'), data);
  // It has opened its files before the first command comes.
  await app.writer.list();
}

/** Looks through every database beside the server's own thread, and names what is damaged. */
async function lookThrough({ jobs, folder }: App): Promise<void> {
  const damages = JSON.parse(await wholeOf(jobs({ do: 'quick-check', folder }))) as Damage[];
  for (const { where, what } of damages) console.error(`${where} ${what}`);
  console.log(
    damages.length === 0
      ? 'The last run did not end well; every database was looked through and is sound.'
      : 'The last run did not end well. Run npm run verify.',
  );
}

/**
 * Listening for others than this machine has to be asked for: a name is no password.
 *
 * @throws Error that says what it means and how to ask for it
 */
function needOpen(host: string, words: readonly string[]): void {
  if (isOwnMachine(host)) return;
  const means = 'Whoever reaches this address can sign in under any name: names are no passwords.';
  if (!words.includes('--open'))
    throw new Error(
      `HOST=${host} listens for other machines. ${means} Add --open if this network is yours alone.`,
    );
  console.warn(`Listening for other machines on ${host}. ${means}`);
}

/**
 * Certificate and key that `--tls CERT KEY` names; null without it.
 *
 * @throws Error that says which file cannot be read, or what is missing
 */
export function tlsFrom(words: readonly string[]): Tls | null {
  const at = words.indexOf('--tls');
  if (at < 0) return null;
  const [cert, key] = [words[at + 1], words[at + 2]];
  if (!cert || !key || key.startsWith('--'))
    throw new Error(
      '--tls names two files: the certificate and its key, both PEM: --tls server.crt server.key',
    );
  return { cert: pem(cert, 'certificate'), key: pem(key, 'key') };
}

function pem(file: string, what: string): Buffer {
  let bytes: Buffer;
  try {
    bytes = readFileSync(file);
  } catch {
    throw new Error(
      `The ${what} "${file}" cannot be read. Give the path of a PEM file that this user may read.`,
    );
  }
  if (!bytes.includes('-----BEGIN '))
    throw new Error(`"${file}" is no PEM file; the ${what} begins with -----BEGIN.`);
  return bytes;
}

function readPort(text: string | undefined): number {
  const port = Number(text ?? 4321);
  if (/^\d*$/.test(text ?? '4321') && text !== '' && Number.isInteger(port) && port >= 0 && port <= 65535)
    return port;
  throw new Error(`PORT="${text}" is no port. Choose a number from 1 to 65535.`);
}

/** Runs a program's main part; a failure becomes one clear line and exit code 1. */
export async function run(main: () => Promise<void>): Promise<void> {
  try {
    await main();
  } catch (error) {
    console.error(error instanceof Error ? error.message : String(error));
    process.exit(1);
  }
}
