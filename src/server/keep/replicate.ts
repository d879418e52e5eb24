import type { ChildProcess } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs'; // prettier-ignore
import { join, resolve } from 'node:path';
import { INSTALLATION_DB } from '../../store/installation';
import { replicaOf, ReplicationMark } from '../../store/replicating';
import { SITE_DB, SiteStore } from '../../store/site-store';
import { DataFolderError } from '../base/error';
import { listFor, startReplicating, type Replicated } from './litestream';

/** File that makes a folder a replica. */
const REPLICA_MARK = 'yendral-replica.json';
/** The replicator's list, in the data folder. */
const LIST = 'replicate.yml';
/** How often sites, photos and the sign of life are looked after, ms. */
const LOOK_MS = 1000;

/** A replication that runs. */
export interface Replication {
  /** Resolves when it was stopped. */
  done: Promise<void>;
  stop: () => void;
}

/**
 * Replicates a data folder into another folder, as it is written: the databases by the replicator, a site's photos by
 * copying. Runs beside the server; a site that is added is taken up.
 *
 * @param target folder of the replica; an empty one, or one that an earlier replication of this program made
 * @throws DataFolderError when there is nothing to replicate, or the target is something else
 */
export function replicate(folder: string, target: string, told: (what: string) => void): Replication {
  const to = needTarget(folder, resolve(target));
  const mark = new ReplicationMark(folder, to);
  const photos = new Map<string, number>();
  let sites = '';
  let child: ChildProcess | null = null;
  let stopped = false;
  const restart = async () => {
    await ended(child);
    if (stopped) return;
    endStray(join(folder, LIST));
    child = startReplicating(join(folder, LIST), told);
    writeFileSync(pidOf(join(folder, LIST)), String(child.pid));
    child.once('exit', (code) => {
      if (!stopped && code !== null && code !== 0) sites = '';
    });
  };
  const look = () => {
    mark.renew();
    const now = sitesIn(folder);
    for (const id of now) copyPhotos(join(folder, 'sites', id, 'photos'), photosAt(to, id), photos);
    if (now.join() === sites && child) return;
    sites = now.join();
    writeFileSync(join(folder, LIST), listFor(databases(folder, to, now)));
    told(`Replicating ${now.length} ${now.length === 1 ? 'site' : 'sites'} into ${to}.`);
    void restart();
  };
  look();
  const timer = setInterval(() => trying(look, told), LOOK_MS);
  let finish: () => void;
  const done = new Promise<void>((resolved) => (finish = resolved));
  const stop = () => {
    if (stopped) return;
    stopped = true;
    clearInterval(timer);
    mark.remove();
    void ended(child).then(() => {
      rmSync(pidOf(join(folder, LIST)), { force: true });
      finish();
    });
  };
  return { done, stop };
}

/** A target that cannot be written for a while is tried again. */
function trying(run: () => void, told: (what: string) => void): void {
  try {
    run();
  } catch (error) {
    told(`${(error as Error).message}. It is tried again.`);
  }
}

function needTarget(folder: string, target: string): string {
  if (!existsSync(join(folder, INSTALLATION_DB)))
    throw new DataFolderError(`${folder} holds no data; there is nothing to replicate. Start the server first.`); // prettier-ignore
  if (target === resolve(folder) || target.startsWith(`${resolve(folder)}/`))
    throw new DataFolderError('The replica has to lie outside the data folder, best on another disk.');
  const other = replicaOf(folder);
  if (other !== null) throw new DataFolderError(`${folder} is being replicated into ${other} already. Stop that first.`); // prettier-ignore
  if (existsSync(target) && readdirSync(target).length > 0 && !isReplica(target))
    throw new DataFolderError(`${target} holds something else. Name an empty folder.`);
  mkdirSync(target, { recursive: true });
  writeFileSync(join(target, REPLICA_MARK), '{"format":"yendral-replica-1"}\n');
  return target;
}

/** Whether a folder is a replica. */
export const isReplica = (folder: string): boolean =>
  existsSync(join(folder, REPLICA_MARK)) && readFileSync(join(folder, REPLICA_MARK), 'utf8').includes('yendral-replica-1'); // prettier-ignore

/** Ids of the sites that a replica holds. */
export const sitesOfReplica = (target: string): string[] =>
  existsSync(join(target, 'sites')) ? readdirSync(join(target, 'sites')).sort() : [];

/** Where a database's replica lies: of a site, or of the installation. */
export const databaseAt = (target: string, site: string | null): string =>
  site === null ? join(target, INSTALLATION_DB) : join(target, 'sites', site, SITE_DB);

/** Where the photos of a site are copied to. */
export const photosAt = (target: string, site: string): string => join(target, 'sites', site, 'photos');

const sitesIn = (folder: string): string[] =>
  readdirSync(join(folder, 'sites')).filter((id) => SiteStore.exists(join(folder, 'sites', id))).sort(); // prettier-ignore

const databases = (folder: string, target: string, sites: readonly string[]): Replicated[] => [
  { file: join(resolve(folder), INSTALLATION_DB), replica: databaseAt(target, null) },
  ...sites.map((id) => ({ file: join(resolve(folder), 'sites', id, SITE_DB), replica: databaseAt(target, id) })),
]; // prettier-ignore

/** Copies the photos that the replica lacks; a folder in which nothing was added is not read again. */
function copyPhotos(from: string, to: string, seen: Map<string, number>): void {
  if (!existsSync(from)) return;
  const { mtimeMs } = statSync(from);
  if (seen.get(from) === mtimeMs) return;
  mkdirSync(to, { recursive: true });
  const there = new Set(readdirSync(to));
  for (const name of readdirSync(from))
    if (!name.endsWith('.part') && !there.has(name)) copyWhole(join(from, name), join(to, name));
  seen.set(from, mtimeMs);
}

function copyWhole(from: string, to: string): void {
  const part = `${to}.${randomBytes(4).toString('hex')}.part`;
  try {
    copyFileSync(from, part);
    renameSync(part, to);
  } catch (error) {
    rmSync(part, { force: true });
    throw error;
  }
}

/**
 * Copies one photo into the replica, if the folder is being replicated: before its row is there, so before any command
 * can show it. A replica that cannot be reached holds up nobody: the replication copies it later, and says so.
 */
export function copyPhoto(folder: string, site: string, name: string): void {
  const target = replicaOf(folder);
  if (target === null) return;
  try {
    mkdirSync(photosAt(target, site), { recursive: true });
    const to = join(photosAt(target, site), name);
    if (!existsSync(to)) copyWhole(join(folder, 'sites', site, 'photos', name), to);
  } catch (error) {
    console.error(`A photo could not be copied into the replica (${(error as Error).message}). It is tried again.`); // prettier-ignore
  }
}

const pidOf = (list: string): string => `${list}.pid`;

/** A replicator that outlived its own program would write the same replica beside the new one. */
function endStray(list: string): void {
  if (!existsSync(pidOf(list))) return;
  const pid = Number(readFileSync(pidOf(list), 'utf8'));
  const command = `/proc/${pid}/cmdline`;
  if (existsSync(command) && readFileSync(command, 'utf8').includes(list)) process.kill(pid, 'SIGTERM');
  rmSync(pidOf(list), { force: true });
}

const ended = (child: ChildProcess | null): Promise<void> =>
  new Promise((resolved) => {
    if (!child || child.exitCode !== null || child.signalCode !== null) return resolved();
    child.once('exit', () => resolved());
    child.kill('SIGTERM');
  });
