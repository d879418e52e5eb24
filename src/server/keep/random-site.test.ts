import canonicalize from 'canonicalize';
import fc from 'fast-check';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { apply } from '../../core/commands/apply';
import { isRefusal, type AnyCommand, type CommandKind } from '../../core/commands/commands';
import { plant } from '../../core/commands/plant.test.data';
import { closure, entriesOf, NOTHING, type Scope } from '../../core/record/closure';
import { partNews } from '../../core/record/part';
import { MemorySlice } from '../../core/record/slice';
import { FILE_TABLES, TABLES } from '../../core/record/tables';
import { ENTRY_STATES } from '../../core/record/finding';
import { sortKey } from '../../core/record/natural';
import { standingState } from '../../core/record/standing';
import type { Standing, TableName } from '../../core/record/types';
import { standingOf } from '../../core/programme/standing';
import { entryListed, recordListed } from '../../core/words/en/listed';
import { withSaid } from '../../core/words/en/said';
import { SiteStore } from '../../store/site-store';
import { newsAfter } from '../app/sync';
import { firstDeparture } from './replay';

const AT = '2026-03-05T10:00:00.000Z';
const HOUR_MS = 3_600_000;

/** What somebody may do: a kind of command, and how its payload is made of some numbers. */
type Deed = [CommandKind, (pick: <T>(from: readonly T[]) => T, id: string) => object];

const ENTRIES = ['e', 'f', 'g', 'h', 't'] as const;
const READINGS = plant()
  .all('reading')
  .map(({ id }) => id);
const DEEDS: Deed[] = [
  ['reading.take', (pick, id) => ({ id, entry: pick(ENTRIES), round: 'r', place: pick(['outer-sheath', 'inner-sheath', 'armour', 'back-nut-gap']), value: pick([20.7, 15.2, 1.25, 44]), typed: 'x', method: 'caliper', instrument: 'c', source: 'typed' })],
  ['reading.strike', (pick) => ({ id: pick(READINGS), reason: 'misread' })],
  ['look.answer', (pick, id) => { const [look, answer] = pick([['damage', 'cracked'], ['damage', 'none'], ['marking', 'yes'], ['unused-entries', 'open'], ['shroud', 'none']] as const); return { id, entry: pick(ENTRIES), round: 'r', look, answer, photo: null }; }],
  ['look.together', (pick, id) => ({ entry: pick(ENTRIES), round: 'r', spot: 'outside', answers: [{ id, look: pick(['damage', 'cable-held']) }] })],
  ['cable.edit', (pick) => ({ id: pick(['k', 'k2']), set: pick([{ outerMm: 30 }, { shape: null }, { coldFlow: true }, { maxC: 20 }, { outerMm: 20.7 }]) })],
  ['entry.edit', (pick) => ({ id: pick(ENTRIES), set: pick([{ cable: 'k' }, { cable: 'k2' }, { cable: null }, { enclosure: 'b' }, { enclosure: 'b2' }, { washerMm: 9 }, { label: 'Z' }]) })],
  ['area.edit', (pick) => ({ id: pick(['a', 'a2']), set: pick([{ zone: '0' }, { zone: '2' }, { ambientC: [-5, 99] }, { weather: 'deluge' }]) })],
  ['enclosure.edit', (pick) => ({ id: pick(['b', 'b2']), set: pick([{ concepts: ['eb'] }, { unused: null }, { area: 'a2' }, { area: 'a' }, { volumeCm3: 90 }]) })],
  ['certificate.edit', (pick) => ({ id: pick(['q', 'q2']), set: pick([{ number: 'TRN 9X' }, { reducedRetention: true }, { state: 'withdrawn', withdrawn: 'safety' }]) })],
  ['instrument.edit', (pick) => ({ id: 'c', set: pick([{ calibratedUntil: '2026-01-01' }, { calibratedUntil: '2027-01-01' }]) })],
  ['round.edit', (pick) => ({ id: 'r', set: pick([{ entries: ['e', 'f'] }, { entries: [...ENTRIES] }, { grade: 'visual' }, { grade: 'detailed' }]) })],
  ['site.edit', (pick) => ({ id: 's', set: pick([{ bondLimitOhm: 0.001 }, { scheme: 'divisions' }, { scheme: 'zones' }]) })],
  ['entry.remove', (pick) => ({ id: pick(ENTRIES) })],
  ['cable.remove', (pick) => ({ id: pick(['k', 'k2']) })],
  ['defect.raise', (pick, id) => ({ id, entry: pick(ENTRIES), round: 'r', check: pick(['E-29', 'E-11', null]), grade: 'detailed', photos: [], action: '', observation: { statement: 'Loose.', consequence: 4, hazard: 'explosion' } })],
  ['makeoff.start', (pick, id) => ({ id, entry: pick(ENTRIES), round: 'r', why: 'opening', habit: 'body-first' })],
  ['asleft.seal', (pick, id) => ({ id, entry: pick(ENTRIES), round: 'r', why: 'opening', outerSeal: 'kept', innerSeal: 'replaced', note: '' })],
  ['inspection.seal', (pick, id) => ({ id, entry: pick(ENTRIES), round: 'r' })],
  ['undo', (pick) => ({ command: pick(['c0', 'c1', 'c2', 'c3', 'c5', 'c8']) })],
]; // prettier-ignore

/** A small site in a folder of its own, its chain begun. */
function planted(): { store: SiteStore; folder: string } {
  const folder = mkdtempSync(join(tmpdir(), 'yendral-random-'));
  const store = SiteStore.open('s', folder, 'src/store/migrations/site', AT);
  const slice = plant();
  store.transaction(() => {
    for (const table of TABLES)
      store.records.write(slice.all(table).map((after) => ({ table, id: after.id, before: null, after })));
    store.settings.remove('index-version');
    store.checkpoint(AT);
  });
  store.close();
  // Opened again, its lists are made.
  const opened = SiteStore.open('s', folder, 'src/store/migrations/site', AT);
  settle(opened, AT);
  return { store: opened, folder };
}

/** Every record of some tables, as text. */
const textOf = (of: { all: SiteStore['records']['all'] }, tables: readonly TableName[]): string =>
  canonicalize(Object.fromEntries(tables.map((table) => [table, of.all(table)])))!;
/** What a page holds: everything but what seals rest on. */
const OF_PAGE = TABLES.filter((table) => table !== 'frozen');
/** What an undo brings back: everything but the history of it. */
const OF_UNDO = FILE_TABLES.filter((table) => table !== 'frozen');

function fresh(store: SiteStore, at: string): Standing[] {
  return store.records.all('entry').map(({ id }) => standingOf(store.records, id, 's', at)!);
}

/** Judges what is stale now, by commands or by time alone. */
function settle(store: SiteStore, at: string): void {
  store.transaction(() => store.statuses.markPassed(at));
  while (store.settle(at, Infinity) > 0);
}

/** What lists are sorted, filtered and searched by, as the store keeps it and as the records say. */
function checkIndex(store: SiteStore): void {
  const { db, records } = store;
  const rows = db.prepare(`SELECT entry, s.name, area, area_name, enclosure, kind, s.state, due, open_defects, worst, title, words
    FROM entry_status s JOIN listed ON listed.row = s.row ORDER BY entry`).all(); // prettier-ignore
  const expected = records.all('entry').map((entry) => {
    const status = store.statuses.all().find((one) => one.entry === entry.id)!;
    const area = records.get('area', records.get('enclosure', entry.enclosure)!.area)!;
    const open = records.by('defect', 'entry', entry.id).filter(({ state }) => state !== 'proven');
    const listed = entryListed(records, entry);
    return {
      entry: entry.id,
      name: sortKey(listed.title),
      area: area.id,
      area_name: sortKey(area.name),
      enclosure: entry.enclosure,
      kind: entry.kind,
      state: ENTRY_STATES.indexOf(standingState(status)),
      due: status.due ? (status.due.day ?? '0') : '9',
      open_defects: open.length,
      worst: Math.max(0, ...open.map(({ severity }) => severity)),
      ...listed,
    };
  });
  expect(rows).toEqual(expected);
  for (const table of ['enclosure', 'cable', 'certificate', 'defect', 'round'] as const)
    expect(
      db.prepare('SELECT id, title, words FROM listed WHERE of_table = ? ORDER BY id').all(table),
    ).toEqual(records.all(table).map((record) => ({ id: record.id, ...recordListed(table, record)! })));
  for (const index of ['found_tag', 'found_word'])
    db.exec(`INSERT INTO ${index} (${index}, rank) VALUES ('integrity-check', 1)`);
}

/** Gives a command as the server does; false where it is refused, and then nothing may have changed. */
function given(store: SiteStore, page: MemorySlice, command: AnyCommand): boolean {
  const before = textOf(store.records, OF_PAGE);
  try {
    store.transaction(() => {
      const worded = withSaid(store.records, command);
      const canonical = canonicalize(worded)!;
      const { changes } = store.commit({ command: worded, canonical, person: 'A. Vell', receivedAt: AT, sent: 'hash' }); // prettier-ignore
      page.write(changes.filter(({ table }) => table !== 'frozen'));
    });
    return true;
  } catch (error) {
    if (!isRefusal(error)) throw error;
    expect(textOf(store.records, OF_PAGE)).toBe(before);
    return false;
  }
}

function pageOf(store: SiteStore): MemorySlice {
  const page = new MemorySlice();
  for (const table of OF_PAGE)
    page.write(store.records.all(table).map((after) => ({ table, id: after.id, after })));
  return page;
}

/** What a device may have taken along. */
const SCOPES: readonly Scope[] = [
  { ...NOTHING, entries: ['e'] },
  { ...NOTHING, entries: ['g'] },
  { ...NOTHING, areas: ['a2'] },
  { ...NOTHING, areas: ['a2'], entries: ['f'] },
  { ...NOTHING, enclosures: ['b2'], cables: ['k'] },
  { ...NOTHING, cables: ['k2'], entries: ['h'] },
  { ...NOTHING, rounds: ['r'] },
];

/** A device that has taken a part of the site along, and hears the news. */
class Along {
  slice: MemorySlice;
  seq: number;

  constructor(
    private readonly store: SiteStore,
    private readonly scope: Scope,
  ) {
    this.slice = closure(store.records, 's', scope).records;
    this.seq = store.journal.head().seq;
  }

  /** Takes what is new; true where it had to fetch its part again. */
  hear(): boolean {
    const { changes, seq } = newsAfter(this.store, this.seq);
    this.seq = seq;
    if (!partNews(this.slice, this.scope, changes).lacks) return false;
    this.slice = closure(this.store.records, 's', this.scope).records;
    return true;
  }

  /** Judges its entries as the whole site does. */
  check(at: string): void {
    for (const id of entriesOf(this.store.records, this.scope))
      expect(standingOf(this.slice, id, 's', at), `${id} along`).toEqual(standingOf(this.store.records, id, 's', at)); // prettier-ignore
  }
}

/** Whether an undo of the newest command is possible, and brings everything back. */
function checkUndo(store: SiteStore, before: string, command: string): void {
  const undo = { id: 'undo', kind: 'undo', site: 's', at: AT, payload: { command } } as AnyCommand;
  const slice = pageOf(store);
  try {
    slice.write(apply(slice, undo, 'A. Vell'));
  } catch (error) {
    if (!isRefusal(error)) throw error;
    return;
  }
  expect(textOf(slice, OF_UNDO)).toBe(before);
}

describe('whatever is done on a site', () => {
  it('its statuses, its index, its chain, a page’s copy and its undo agree, whatever the clock does', () => {
    let taken = 0;
    let [heard, fetched] = [0, 0];
    const deed = fc.tuple(fc.nat(DEEDS.length - 1), fc.infiniteStream(fc.nat(1000)));
    fc.assert(
      fc.property(fc.array(deed, { minLength: 4, maxLength: 14 }), (deeds) => {
        const { store, folder } = planted();
        try {
          const page = pageOf(store);
          const scope = SCOPES[deeds.reduce((sum, [which]) => sum + which, 0) % SCOPES.length]!;
          const along = new Along(store, scope);
          let at = AT;
          deeds.forEach(([which, numbers], i) => {
            const [kind, payload] = DEEDS[which]!;
            const pick = <T>(from: readonly T[]): T => from[(numbers.next().value as number) % from.length]!;
            const pace = pick([0, 0, 0, 1, 30, 500]);
            at = new Date(Date.parse(at) + pace * HOUR_MS).toISOString();
            // Some devices are ahead of the server.
            const givenAt = new Date(Date.parse(at) + pick([0, 0, 3]) * HOUR_MS).toISOString();
            const command = { id: `c${i}`, kind, site: 's', at: givenAt, payload: payload(pick, `x${i}`) } as unknown as AnyCommand; // prettier-ignore
            const before = textOf(store.records, OF_UNDO);
            const done = given(store, page, command);
            settle(store, at);
            const sorted = (list: Standing[]) => canonicalize([...list].sort((a, b) => (a.entry < b.entry ? -1 : 1))); // prettier-ignore
            expect(sorted(store.statuses.all()), `${kind}: statuses`).toBe(sorted(fresh(store, at)));
            checkIndex(store);
            if (!done) return;
            taken++;
            // News come one by one, or some at once.
            if (pick([true, false])) {
              heard++;
              if (along.hear()) fetched++;
              along.check(at);
            }
            expect(textOf(page, OF_PAGE), `${kind}: the page’s copy`).toBe(textOf(store.records, OF_PAGE));
            checkUndo(store, before, command.id);
          });
          expect(firstDeparture(store)).toBeNull();
        } finally {
          store.close();
          rmSync(folder, { recursive: true });
        }
      }),
      { numRuns: 40, seed: 20260304 },
    );
    expect(taken).toBeGreaterThan(100);
    // Most news are taken as they are.
    expect(heard).toBeGreaterThan(60);
    expect(fetched).toBeLessThan(heard / 4);
  }, 120_000);
});
