import { canonical as canonicalOf } from '../../src/core/record/canonical';
import { createHash } from 'node:crypto';
import { dayIn } from '../../src/core/record/calendar';
import type { AnyCommand } from '../../src/core/commands/commands';
import { ENTRY_STATES, type EntryState } from '../../src/core/record/finding';
import type { App } from '../../src/server/app/app';
import { listedSites } from '../../src/server/base/site-list';
import { acceptCommands } from '../../src/server/commands/accept';
import { signIn } from '../../src/server/http/session';
import { instruments } from '../instruments';
import { certificates } from '../series';
import { entryId, Script } from '../spec';
import { commandsOf, lastRound } from './block';
import { areasOfPlant, copyOf, GENERATED, sizeOf, type Wanted } from './plant';

type SiteStore = NonNullable<ReturnType<App['sites']['get']>>;

/** What was generated, counted. */
export interface Generated {
  site: string;
  entries: number;
  enclosures: number;
  areas: number;
  cables: number;
  certificates: number;
  rounds: number;
  readings: number;
  looks: number;
  seals: number;
  defects: number;
  states: Record<EntryState, number>;
}

/** Copies of the pattern that one round goes through. */
const COPIES_A_ROUND = 3;
/** Entries of the round that is under way. */
const LAST_ROUND = 300;
/** The rounds lie in so many days, the last so many days ago. */
const [FIRST_DAYS, LAST_DAYS] = [-1000, -20];
/** A copy has more entries than this. */
const MOST_OF_A_COPY = 30;
/** Words of how far it is come so often, ms. */
const TOLD_MS = 2000;

/**
 * Fills an installation with one plant of any size: each record by a command through the reducer, block by block in
 * one transaction, and where the entries stand judged once at the end.
 *
 * @param told how far it is, now and then
 */
export function generate(app: App, wanted: Wanted, told: (words: string) => void): Generated {
  const today = app.clock();
  const by = signIn(app, 'R. Tarn').person;
  for (const name of ['A. Vell', 'M. Okonjo']) signIn(app, name);
  const first = copyOf(0, 1, wanted);
  const copies = copiesOf(wanted.entries);
  const start = new Script(GENERATED, today, randomOf(wanted.seed));
  start.add('site.add', first.site, start.at(FIRST_DAYS - 100), by.name);
  for (const area of areasOfPlant()) start.add('area.add', area, start.at(FIRST_DAYS - 99), by.name);
  for (const one of certificates(first.prefix)) start.add('certificate.add', one, start.at(FIRST_DAYS - 99), by.name);
  for (const one of instruments(first.prefix, dayIn(today.toISOString(), 'UTC'))) start.add('instrument.add', one, start.at(FIRST_DAYS - 99), by.name);
  for (const answer of acceptCommands(app, start.commands.map(({ command }) => command), by))
    if (answer.status !== 'applied') throw new Error(`Refused: ${answer.field} ${answer.message}`);
  const store = app.sites.get(GENERATED)!;
  // Nobody else writes: what is read again and again stays in memory, and a stop begins anew.
  store.db.pragma('cache_size = -262144');
  store.db.pragma('synchronous = OFF');
  const rounds = Math.ceil(copies.length / COPIES_A_ROUND);
  let lastTold = Date.now();
  for (let round = 0; round < rounds; round++) {
    giveRound(store, { round, rounds, copies, wanted, today });
    if (Date.now() - lastTold < TOLD_MS) continue;
    lastTold = Date.now();
    told(`Round ${round + 1} of ${rounds} …`);
  }
  giveLastRound(store, wanted, copies, today);
  judgeAll(store, today, told);
  app.changed.add(GENERATED);
  listedSites(app);
  return counted(store);
} // prettier-ignore

/** Numbers in [0, 1) that are the same for the same seed (mulberry32): ids are made of them. */
function randomOf(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Copies of the pattern that so many entries take, and how many entries each has: the last not all. */
function copiesOf(entries: number): number[] {
  const sizes: number[] = [];
  for (let left = entries; left > 0; left -= sizes.at(-1)!) sizes.push(Math.min(left, sizeOf(sizes.length)));
  return sizes;
}

interface RoundWanted {
  round: number;
  rounds: number;
  copies: readonly number[];
  wanted: Wanted;
  today: Date;
}

function giveRound(store: SiteStore, { round, rounds, copies, wanted, today }: RoundWanted): void {
  const first = round * COPIES_A_ROUND;
  const specs = copies.slice(first, first + COPIES_A_ROUND).map((size, i) => copyOf(first + i, size, wanted));
  const spec = {
    ...specs[0]!,
    enclosures: specs.flatMap(({ enclosures }) => enclosures),
    entries: specs.flatMap(({ entries }) => entries),
    minerals: specs.flatMap((one) => one.minerals),
  };
  const days = Math.round(FIRST_DAYS + ((LAST_DAYS - FIRST_DAYS) * round) / Math.max(1, rounds - 1));
  const script = new Script(GENERATED, today, randomOf(wanted.seed * 7919 + round));
  give(store, commandsOf(script, { number: round, spec, days }));
}

function giveLastRound(store: SiteStore, wanted: Wanted, copies: readonly number[], today: Date): void {
  const script = new Script(GENERATED, today, randomOf(wanted.seed + 1));
  const round = 'gh-round-last';
  // The newest parts of the plant.
  const specs = copies.map((size, copy) => ({ size, copy })).slice(-LAST_ROUND / MOST_OF_A_COPY).map(({ size, copy }) => copyOf(copy, size, wanted));
  const all = specs.flatMap((spec) => spec.entries.map((entry) => ({ spec, entry }))).slice(-LAST_ROUND);
  const started = script.at(-2);
  const ids = all.map(({ spec, entry }) => entryId(spec, entry));
  script.add('round.add', { id: round, name: 'Round under way', grade: 'detailed', entries: ids, started, closed: null }, started, 'A. Vell');
  give(store, script.commands.splice(0));
  for (const spec of specs) {
    const own = all.filter((one) => one.spec === spec).map(({ entry }) => entry);
    give(store, lastRound(script, spec, own, round));
  }
} // prettier-ignore

/** Gives commands in one transaction, as the server applies what it has accepted. */
function give(store: SiteStore, commands: Script['commands']): void {
  store.transaction(() => {
    for (const { command, by } of commands) apply(store, command, by);
  });
}

function apply(store: SiteStore, command: AnyCommand, person: string): void {
  const canonical = canonicalOf(command)!;
  const sent = createHash('sha256').update(canonical).digest('hex');
  store.commit({ command, canonical, person, receivedAt: command.at, sent });
}

function judgeAll(store: SiteStore, today: Date, told: (words: string) => void): void {
  const at = today.toISOString();
  for (;;) {
    const left = store.settle(at, TOLD_MS);
    if (left === 0) return;
    told(`${left} entries are to be judged …`);
  }
}

/** What a generated site holds. */
function counted(store: SiteStore): Generated {
  const count = (table: string) => store.db.prepare(`SELECT count(*) FROM ${table}`).pluck().get() as number;
  const states = store.db.prepare('SELECT state, count(*) AS n FROM entry_status GROUP BY state').all() as { state: number; n: number }[];
  return {
    site: store.id,
    entries: count('entry'),
    enclosures: count('enclosure'),
    areas: count('area'),
    cables: count('cable'),
    certificates: count('certificate'),
    rounds: count('round'),
    readings: count('reading'),
    looks: count('look'),
    seals: count('inspection'),
    defects: count('defect'),
    states: Object.fromEntries(ENTRY_STATES.map((state, i) => [state, states.find((row) => row.state === i)?.n ?? 0])) as Record<EntryState, number>,
  };
} // prettier-ignore
