import { join } from 'node:path';
import type { MessagePort } from 'node:worker_threads';
import { InputError } from '../../core/quantity/error';
import { isRefusal, type Refusal } from '../../core/commands/commands';
import { Installation, INSTALLATION_DB } from '../../store/installation';
import { leaveCheckpoints, DatabaseError } from '../../store/open';
import { replicaOf } from '../../store/replicating';
import { SiteStores } from '../../store/site-stores';
import { listedSites } from '../base/site-list';
import { clockFrom } from '../base/clock';
import { acceptRequests, type CommandAnswer, type Taking } from '../commands/accept';
import { bringUpRegister, follow, keepInstrument, lendInstrument } from '../instruments/register';
import { Refresher } from './refresher';
import { workerJobs } from '../jobs/workers';
import type { Asked, Fault, Said, ThreadData } from './messages';

/** Commands that one transaction takes at most, so that nobody waits for long. */
const MOST_TOGETHER = 400;
/** How often it is looked whether the folder is replicated, ms. */
const HEED_MS = 5000;
/** How often it is looked whether time has passed something by: one question of an index for each site, ms. */
const LOOK_MS = 60_000;

type Accept = Extract<Asked, { ask: 'accept' }>;

/** The one thread that writes into sites: requests that wait together are written together. */
export function writeInThread(port: MessagePort, { folder, migrations, now, worker }: ThreadData): void {
  const say = (said: Said) => port.postMessage(said);
  const clock = clockFrom(now);
  const sites = new SiteStores(join(folder, 'sites'), join(migrations, 'site'), () => clock().toISOString());
  const beside = { folder, jobs: workerJobs(worker) };
  const refresher = new Refresher(sites, clock, (refreshing) => say({ refreshing }), beside);
  const installation = Installation.open(join(folder, INSTALLATION_DB), join(migrations, 'installation'));
  const app: Taking = { installation, sites, clock, changed: new Set(), refresher, events: { news: (news) => say({ news }) },
    heard: (store, changes, by) => follow(app, store, changes, by),
  }; // prettier-ignore
  const heed = () => {
    const left = replicaOf(folder) !== null;
    sites.leaveCheckpoints(left);
    leaveCheckpoints(installation.db, left);
  };
  heed();
  const heeding = setInterval(heed, HEED_MS);
  bringUpRegister(app);
  const lookOn = () => {
    const at = clock().toISOString();
    for (const id of sites.ids()) touchStale(app, id, at);
  };
  lookOn();
  const looking = setInterval(lookOn, LOOK_MS);
  const queue: Accept[] = [];
  let soon = false;
  const drain = () => {
    soon = false;
    while (queue.length > 0) acceptSome(app, someOf(queue), say);
  };
  const end = (number: number) => {
    drain();
    clearInterval(heeding);
    clearInterval(looking);
    refresher.stop();
    listedSites(app);
    sites.close();
    installation.close(replicaOf(folder) !== null);
    say({ number, answers: null });
  };
  port.on('message', (asked: Asked) => {
    if (asked.ask === 'accept') {
      queue.push(asked);
      // What has come by then is written with it.
      if (!soon) setImmediate(drain);
      soon = true;
      return;
    }
    answer(asked.number, say, () => {
      if (asked.ask !== 'end') return doAsked(app, refresher, asked);
      end(asked.number);
      return undefined;
    });
  });
}

/** Anything but commands and the end. */
function doAsked(
  app: Taking,
  refresher: Refresher,
  asked: Exclude<Asked, { ask: 'accept' } | { ask: 'end' }>,
): CommandAnswer[] | null {
  if (asked.ask === 'keep-instrument') return keepInstrument(app, asked.value, asked.person);
  if (asked.ask === 'lend') return lendInstrument(app, asked.instrument, asked.site, asked.person);
  if (asked.ask === 'photo') app.sites.get(asked.site)?.photos.add(asked.photo, asked.sent);
  else if (asked.ask === 'list') listedSites(app);
  else if (asked.go) refresher.goOn(asked.site);
  else refresher.halt(asked.site);
  return null;
}

/** What was stale when the last run ended is judged now, and what time alone has passed. */
function touchStale({ sites, refresher }: Taking, id: string, at: string): void {
  try {
    const store = sites.get(id);
    store?.transaction(() => store.statuses.markPassed(at));
    if (store && store.statuses.countStale() > 0) refresher.touch(id);
  } catch (error) {
    // Named when the list was made.
    if (!(error instanceof DatabaseError)) throw error;
  }
}

/** Requests from the head of the queue, not too many for one transaction. */
function someOf(queue: Accept[]): Accept[] {
  let commands = 0;
  let many = 0;
  while (many < queue.length && (many === 0 || commands + queue[many]!.values.length <= MOST_TOGETHER))
    commands += queue[many++]!.values.length;
  return queue.splice(0, many);
}

/** One that the disk or a file fails on fails for all that were written with it: none of them is on the disk. */
function acceptSome(app: Taking, some: readonly Accept[], say: (said: Said) => void): void {
  let answers: CommandAnswer[][] | null = null;
  try {
    answers = acceptRequests(app, some);
  } catch (error) {
    if (some.length > 1) {
      // A damaged site must not fail who writes into another.
      for (const one of some) acceptSome(app, [one], say);
      return;
    }
    say({ number: some[0]!.number, fault: faultOf(error) });
    return;
  }
  some.forEach(({ number }, i) => say({ number, answers: answers[i]! }));
}

function answer(
  number: number,
  say: (said: Said) => void,
  run: () => CommandAnswer[] | null | undefined,
): void {
  try {
    const answers = run();
    if (answers !== undefined) say({ number, answers });
  } catch (error) {
    say({ number, fault: faultOf(error) });
  }
}

/** What crosses to the other thread: plain values. */
const partsOf = ({ code, field, key, facts, because }: Refusal): NonNullable<Fault['refusal']> => ({
  code,
  field,
  key,
  facts,
  because: because && (partsOf(because) as Refusal),
});

const faultOf = (error: unknown): Fault => ({
  name: error instanceof DatabaseError ? 'DatabaseError' : error instanceof InputError ? 'InputError' : isRefusal(error) ? 'Refusal' : 'Error', // prettier-ignore
  message: error instanceof Error ? error.message : String(error),
  code: (error as { code?: string }).code,
  field: (error as { field?: string }).field,
  input: error instanceof InputError ? { field: error.field, key: error.key, facts: error.facts } : null,
  refusal: isRefusal(error) ? partsOf(error) : null,
});
