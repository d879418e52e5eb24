import { createHash } from 'node:crypto';
import { canonical as canonicalOf } from '../../core/record/canonical';
import { InputError } from '../../core/quantity/error';
import { isRefusal, Refusal, type AnyCommand } from '../../core/commands/commands';
import type { RecordChange } from '../../core/record/slice';
import type { Id } from '../../core/record/types';
import { inputSentence } from '../../core/words/en/inputs';
import { refusalSentence } from '../../core/words/en/refusals';
import { withSaid } from '../../core/words/en/said';
import type { Person } from '../../store/people';
import type { SiteStore } from '../../store/site-store';
import type { Clock } from '../base/clock';
import { listedSites, listSite, type Listing } from '../base/site-list';
import type { JournalEvent } from '../../core/commands/news';
import { lookOf } from '../../shapes/letters';
import { parseCommand } from '../../shapes/parse';

/** A device clock may be ahead by this much; a later time is taken back to the server's. */
const AHEAD_MS = 120_000;
/** Commands that one request may carry. Chosen: a day’s work offline goes in a few requests. */
export const MOST_COMMANDS = 200;

/** What became of one command. */
export type CommandAnswer =
  | {
      id: Id;
      status: 'applied';
      seq: number;
      hash: string;
      /** The line of the site's journal before this one. */
      after: number;
      clamped: boolean;
    }
  | { id: Id | null; status: 'refused'; code: string; field: string; message: string };

/** What commands are taken with. */
export interface Taking extends Listing {
  clock: Clock;
  events: { news: (event: JournalEvent) => void };
  /** Told that entries of a site are stale. */
  refresher: { touch: (site: Id) => void };
  /** Told what was written, after it was. */
  heard: (store: SiteStore, changes: readonly RecordChange[], by: string) => void;
}

/** What one person sends at once. */
export interface Request {
  values: readonly unknown[];
  person: Person;
}

/** A command, who gives it, and its place in the answers. */
interface Given {
  value: unknown;
  person: Person;
  request: number;
  place: number;
}

/** Takes the commands of one person: see {@link acceptRequests}. */
export const acceptCommands = (app: Taking, values: readonly unknown[], person: Person): CommandAnswer[] =>
  acceptRequests(app, [{ values, person }])[0]!;

/**
 * Takes the commands of requests that wait together, in order, site by site, each for itself: one that is refused does
 * not stop the others. All that are accepted are on the disk when this returns; a site is written once for all of them.
 *
 * @param requests untrusted JSON values, and who gives them
 * @returns the answers of each request
 */
export function acceptRequests(app: Taking, requests: readonly Request[]): CommandAnswer[][] {
  const answers = requests.map(({ values }) => Array<CommandAnswer>(values.length));
  for (const [site, given] of bySite(requests)) {
    const taken = acceptForSite(app, site, given);
    given.forEach(({ request, place }, i) => (answers[request]![place] = taken[i]!));
  }
  return answers;
}

function bySite(requests: readonly Request[]): Map<Id | null, Given[]> {
  const groups = new Map<Id | null, Given[]>();
  requests.forEach(({ values, person }, request) => {
    values.forEach((value, place) => {
      const said = (value as { site?: unknown } | null)?.site;
      const site = typeof said === 'string' ? said : null;
      const group = groups.get(site);
      if (group) group.push({ value, person, request, place });
      else groups.set(site, [{ value, person, request, place }]);
    });
  });
  return groups;
}

function acceptForSite(app: Taking, site: Id | null, given: readonly Given[]): CommandAnswer[] {
  const known = site === null ? null : app.sites.get(site);
  const made = !known && given.some(({ value }) => makesSite(value, site));
  const store = made ? app.sites.make(site!) : known;
  if (!store) return given.map(({ value }) => refusedWithoutSite(value));
  const after = store.journal.head().seq;
  const changes: RecordChange[] = [];
  const answers = acceptBatch({ app, store, changes }, given);
  if (made) app.sites.dropEmpty(store.id);
  if (changes.length === 0) return answers;
  if (made) listSite(app, store.id);
  else app.changed.add(store.id);
  const { seq, hash } = store.journal.head();
  const told = changes.flatMap(({ table, id, after }) => (table === 'frozen' ? [] : [{ table, id, after }]));
  app.events.news({ site: store.id, after, seq, head: hash, changes: told });
  app.refresher.touch(store.id);
  app.heard(store, changes, given.at(-1)!.person.name);
  return answers;
}

/** Whether a value is a sound command that makes its site. */
function makesSite(value: unknown, site: Id | null): boolean {
  if ((value as { kind?: unknown } | null)?.kind !== 'site.add') return false;
  try {
    const command = parseCommand(value);
    return command.kind === 'site.add' && command.payload.id === site;
  } catch {
    return false;
  }
}

function refusedWithoutSite(value: unknown): CommandAnswer {
  return answered(value, () => {
    parseCommand(value);
    throw new Refusal('unknown-id', 'site', 'site.none');
  });
}

/** Where commands go. */
interface Taker {
  app: Taking;
  store: SiteStore;
  /** What has been changed for good. */
  changes: RecordChange[];
}

/** All in one transaction; where one of them breaks it, each in its own, so that the others are taken. */
function acceptBatch(taker: Taker, given: readonly Given[]): CommandAnswer[] {
  try {
    return acceptTogether(taker, given);
  } catch (error) {
    if (isStorage(error)) throw error;
    console.error(error);
    const apart = inBatches(given);
    if (apart.length === 1) return given.map(({ value }) => faultOf(value));
    return apart.flatMap((some) => acceptBatch(taker, some));
  }
}

/** Commands one by one; those of one batch, which stand beside each other, stay together. */
function inBatches(given: readonly Given[]): Given[][] {
  const apart: Given[][] = [];
  let last: Id | null = null;
  for (const one of given) {
    const batch = batchOf(one.value);
    if (batch !== null && batch === last) apart.at(-1)!.push(one);
    else apart.push([one]);
    last = batch;
  }
  return apart;
}

/** One command of a batch is refused: nothing of the batch is taken. */
class BatchRefused extends Error {
  constructor(
    readonly batch: Id,
    readonly answer: CommandAnswer,
  ) {
    super('A batch is refused as one.');
  }
}

function acceptTogether(taker: Taker, given: readonly Given[]): CommandAnswer[] {
  const refused = new Map<Id, CommandAnswer>();
  // Each try leaves out one batch more.
  for (;;) {
    const changes: RecordChange[] = [];
    try {
      const answers = taker.store.transaction(() => given.map((one) => acceptOfBatch({ ...taker, changes }, one, refused)));
      taker.changes.push(...changes);
      return answers;
    } catch (error) {
      if (!(error instanceof BatchRefused)) throw error;
      refused.set(error.batch, error.answer);
    }
  }
} // prettier-ignore

function acceptOfBatch(taker: Taker, one: Given, refused: ReadonlyMap<Id, CommandAnswer>): CommandAnswer {
  const batch = batchOf(one.value);
  const why = batch === null ? undefined : refused.get(batch);
  if (why) return { ...why, id: idOf(one.value) } as CommandAnswer;
  const answer = acceptOne(taker, one);
  if (batch !== null && answer.status === 'refused') throw new BatchRefused(batch, answer);
  return answer;
}

const batchOf = (value: unknown): Id | null => {
  const batch = (value as { batch?: unknown } | null)?.batch;
  return typeof batch === 'string' ? batch : null;
};

/** A disk that is full or busy says nothing about the command: it is sent again. */
const isStorage = (error: unknown): boolean =>
  /^SQLITE_(FULL|IOERR|BUSY|READONLY|CORRUPT|CANTOPEN|NOMEM)/.test((error as { code?: string }).code ?? '');

/** One that the server fails on stands aside with a word, and holds up nothing else. */
const faultOf = (value: unknown): CommandAnswer => ({
  id: idOf(value),
  status: 'refused',
  code: 'fault',
  field: '',
  message: 'The server failed on this record and took nothing of it. Try it again, or type it anew.',
});

function acceptOne(taker: Taker, { value, person }: Given): CommandAnswer {
  return answered(value, () => {
    // A refusal comes before anything is written: it leaves nothing to take back.
    return applyOnce(taker, parseCommand(value), person);
  });
}

/** The answer that a block gives, or what it is refused with. */
function answered(value: unknown, run: () => CommandAnswer): CommandAnswer {
  const id = idOf(value);
  try {
    return run();
  } catch (error) {
    if (error instanceof InputError)
      return { id, status: 'refused', code: 'invalid', field: error.field, message: inputSentence(error) };
    if (isRefusal(error))
      return { id, status: 'refused', code: error.code, field: error.field, message: refusalSentence(error) };
    if (isStorage(error)) throw error;
    console.error(error);
    return faultOf(value);
  }
}

function applyOnce(taker: Taker, given: AnyCommand, { id: who, name: person }: Person): CommandAnswer {
  const { app, store } = taker;
  const { person: said, ...own } = given;
  const sent = own as AnyCommand;
  if (said !== undefined && said !== who) {
    throw new Refusal('invalid', 'person', 'person.other', { person }); // prettier-ignore
  }
  const text = canonicalOf(sent)!;
  // Canonical JSON of both, without writing the command out twice.
  const sentHash = sha256(`{"person":${JSON.stringify(person)},"sent":${text}}`);
  const before = answerOfBefore(store, sent, sentHash);
  if (before) return before;
  needOwnSiteName(app, sent);
  needPhotos(store, sent);
  const receivedAt = app.clock().toISOString();
  const clamped = Date.parse(sent.at) > Date.parse(receivedAt) + AHEAD_MS;
  const at = clamped ? receivedAt : new Date(sent.at).toISOString();
  const timed = at === sent.at ? sent : ({ ...sent, at } as AnyCommand);
  const command = withSaid(store.records, timed);
  const after = store.journal.head().seq;
  const canonical = command === sent ? text : canonicalOf(command)!;
  const { seq, hash, changes } = store.commit({ command, canonical, person, receivedAt, sent: sentHash });
  taker.changes.push(...changes);
  return { id: sent.id, status: 'applied', seq, hash, after, clamped };
}

const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex');

/** The same command again gets the same answer; null for a new one. */
function answerOfBefore({ journal }: SiteStore, sent: AnyCommand, sentHash: string): CommandAnswer | null {
  const known = journal.find(sent.id);
  const sentBefore = known?.sent ?? journal.sentEarlier(sent.id);
  if (sentBefore === null) return null;
  if (sentBefore !== sentHash) throw new Refusal('exists', 'id', 'command.exists');
  // Taken before the site had a file of its own: it is in the records that the first line stands for.
  const { seq, hash, command } = known ?? { ...journal.line(1)!, command: null };
  const clamped = command !== null && (JSON.parse(command) as AnyCommand).at !== sent.at;
  return { id: sent.id, status: 'applied', seq, hash, after: seq - 1, clamped };
}

/** Two sites of one name cannot be told apart in the list. */
function needOwnSiteName(app: Taking, command: AnyCommand): void {
  const name = command.kind === 'site.add' ? command.payload.name : command.kind === 'site.edit' ? command.payload.set.name : undefined; // prettier-ignore
  if (name === undefined) return;
  const twin = listedSites(app).find((one) => one.id !== command.site && lookOf(one.name) === lookOf(name));
  if (!twin) return;
  const field = command.kind === 'site.add' ? 'payload.name' : 'payload.set.name';
  throw new Refusal('exists', field, 'site.twin', { name: twin.name });
}

/** Bytes come before the command that shows them. */
function needPhotos({ photos }: SiteStore, command: AnyCommand): void {
  for (const [field, id] of photosOf(command)) {
    if (photos.find(id)) continue;
    throw new Refusal('unknown-id', field, 'photo.bytes');
  }
}

function photosOf(command: AnyCommand): [field: string, id: Id][] {
  if (command.kind === 'look.answer' && command.payload.photo)
    return [['payload.photo', command.payload.photo]];
  if (command.kind === 'defect.raise')
    return command.payload.photos.map((id, i) => [`payload.photos.${i}`, id]);
  if (command.kind === 'defect.edit') {
    return (command.payload.set.photos ?? []).map((id, i) => [`payload.set.photos.${i}`, id]);
  }
  return [];
}

const idOf = (value: unknown): Id | null => {
  const id = (value as { id?: unknown } | null)?.id;
  return typeof id === 'string' ? id : null;
};
