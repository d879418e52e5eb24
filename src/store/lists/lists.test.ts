import fc from 'fast-check';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addDays } from '../../core/record/calendar';
import { ENTRY_STATES } from '../../core/record/finding';
import { KIND_IDS } from '../../core/record/kind-ids';
import { sortKey } from '../../core/record/natural';
import { DUE_WHENS, dueWhen } from '../../core/programme/due-when';
import { ENTRY_SORTS, type EntryAsk, type EntryRow, type ListPage } from '../../core/programme/lists';
import type { Standing } from '../../core/record/types';
import { plant } from '../../core/commands/plant.test.data';
import { SiteStore } from '../site-store';

const AT = '2026-03-05T10:00:00.000Z';
const TODAY = '2026-03-05';
const AREAS = ['a', 'a2'];
const WORDS = ['barrier gland', 'double-seal gland', 'straße', 'cable P-12', 'Ünit 3, yard'];

interface Made {
  id: string;
  title: string;
  words: string;
  kind: (typeof KIND_IDS)[number];
  area: string;
  status: Standing;
}

/** Entries as an index may hold them, every value several times. */
const made = (n: number): Made => {
  const at = (k: number) => (n * 7919 + k * 104729) % 1000;
  const day = [null, addDays(TODAY, at(1) - 500), addDays(TODAY, at(2) % 40)][at(3) % 3]!;
  const due = at(4) % 5 === 0 ? null : { grade: 'close' as const, day, months: 12, since: null, reasons: [] };
  return {
    id: `e${n}`,
    title: `JB-${at(5) % 37}, entry ${'ABCD'[at(6) % 4]}`,
    words: `${WORDS[at(7) % 5]}, ${WORDS[at(8) % 5]}`,
    kind: KIND_IDS[at(9) % 4]!,
    area: AREAS[at(10) % 2]!,
    status: {
      entry: `e${n}`, state: ENTRY_STATES[at(11) % 4]!, at: at(12) % 3 === 0 ? null : `2026-02-${10 + (at(13) % 9)}T10:00:00.000Z`,
      due, sealed_state: null, sealed_at: null, running_round: null, open_defects: 0, worst: 0, changes_at: null,
    } as unknown as Standing,
  };
}; // prettier-ignore
const NO_CLOCKS = { clocks: [], late: [] };
const MADE = Array.from({ length: 230 }, (_, n) => made(n));

let store: SiteStore;
let folder: string;

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'yendral-lists-'));
  store = SiteStore.open('s', folder, 'src/store/migrations/site', AT);
  const slice = plant();
  store.transaction(() => {
    for (const table of ['site', 'area', 'enclosure', 'cable', 'certificate', 'round'] as const)
      store.records.write(slice.all(table).map((after) => ({ table, id: after.id, before: null, after })));
    for (const { id, title, words, kind, area, status } of MADE)
      store.statuses.put(
        { day: TODAY, status },
        {
          entry: { id, kind, enclosure: 'b' },
          area: slice.get('area', area)!,
          listed: { title, words },
          clocks: NO_CLOCKS,
        },
      );
    store.settings.remove('index-version');
  });
});
afterAll(() => {
  store.close();
  rmSync(folder, { recursive: true });
});

const ASK: EntryAsk = { q: '', after: null, limit: 50, state: null, area: null, kinds: null, due: null, sort: 'tag', today: TODAY }; // prettier-ignore

/** Every page of a question, one after the other. */
function pages(ask: EntryAsk): { rows: EntryRow[]; matching: number } {
  const rows: EntryRow[] = [];
  let matching = -1;
  for (let after: string | null = null, first = true; first || after; first = false) {
    const page: ListPage<EntryRow> = store.entries.page({ ...ask, after })!;
    if (first) matching = page.matching!;
    expect(page.rows.length).toBeLessThanOrEqual(ask.limit);
    rows.push(...page.rows);
    after = page.next;
  }
  return { rows, matching };
}

const plain = (text: string): string[] => text.toLowerCase().normalize('NFD').replace(/\p{M}/gu, '').split(/[^\p{L}\p{N}]+/u).filter(Boolean); // prettier-ignore

/** Whether a text holds a word: as the beginning of words (a letter beside others as a word), or its title as a part. */
function holds({ title, words }: Made, word: string, alone: boolean): boolean {
  const asked = plain(word);
  if (asked.length === 0) return false;
  const said = [plain(title), plain(words)].some((list) =>
    list.some((_, i) =>
      asked.every((part, k) =>
        k < asked.length - 1 || (word.length === 1 && !alone)
          ? list[i + k] === part
          : list[i + k]?.startsWith(part),
      ),
    ),
  );
  return said || (word.length >= 3 && title.toLowerCase().includes(word.toLowerCase()));
}

const place = (one: Made, sort: EntryAsk['sort']): (string | number)[] => {
  const name = sortKey(one.title);
  const due = one.status.due ? (one.status.due.day ?? '0') : '9';
  if (sort === 'area') return [sortKey(one.area === 'a' ? AREA_NAMES[0] : AREA_NAMES[1]), name];
  if (sort === 'state') return [ENTRY_STATES.indexOf(one.status.state), name];
  if (sort === 'due') return [due, name];
  return sort === 'tag' ? [name] : [];
};
const AREA_NAMES: [string, string] = [plant().get('area', 'a')!.name, plant().get('area', 'a2')!.name];

const compare = (a: readonly (string | number)[], b: readonly (string | number)[]): number => {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return a[i]! < b[i]! ? -1 : 1;
  return 0;
};

describe('the list of entries', () => {
  const some = <T,>(values: readonly T[]) => fc.constantFrom(null, null, ...values);
  const question = fc.record({
    q: fc.constantFrom('', '', 'jb-1', 'B-2', 'barrier', 'gla barr', 'unit', 'STRASS', 'straß', '"', '* OR (', 'entry b', 'p-12 jb', 'j'),
    limit: fc.constantFrom(1, 7, 50, 500),
    state: some(ENTRY_STATES),
    area: some(AREAS),
    kinds: fc.option(fc.subarray([...KIND_IDS.slice(0, 4)], { minLength: 1 }), { nil: null }),
    due: some(DUE_WHENS),
    sort: fc.constantFrom(...ENTRY_SORTS),
  });

  it('is what was asked, all of it, once, in its order, whatever the length of its pages', () => {
    fc.assert(
      fc.property(question, (asked) => {
        const ask = { ...ASK, ...asked };
        const { rows, matching } = pages(ask);
        const words = ask.q.split(/\s+/).filter(Boolean);
        const expected = MADE.filter(
          (one) =>
            (ask.state === null || one.status.state === ask.state) &&
            (ask.area === null || one.area === ask.area) &&
            (ask.kinds === null || ask.kinds.includes(one.kind)) &&
            (ask.due === null || dueWhen(one.status.due, TODAY) === ask.due) &&
            words.every((word) => holds(one, word, words.length === 1)),
        );
        expect(rows.map(({ id }) => id).sort()).toEqual(expected.map(({ id }) => id).sort());
        expect(matching).toBe(expected.length);
        const byId = new Map(MADE.map((one) => [one.id, one]));
        const shown = rows.map(({ id }) => byId.get(id)!);
        for (let i = 1; i < shown.length; i++) {
          const [one, next] = [shown[i - 1]!, shown[i]!];
          if (ask.sort === 'time') expect((one.status.at ?? '') >= (next.status.at ?? '')).toBe(true);
          else expect(compare(place(one, ask.sort), place(next, ask.sort))).toBeLessThanOrEqual(0);
        }
      }),
      { numRuns: 300, seed: 20260305 },
    );
  });

  it('counts what it lists', () => {
    const counts = store.entries.counts(TODAY);
    expect(counts.of).toBe(MADE.length);
    for (const state of ENTRY_STATES) expect(counts.state[state]).toBe(pages({ ...ASK, state }).matching);
    for (const due of DUE_WHENS) expect(counts.due[due]).toBe(pages({ ...ASK, due }).matching);
  });

  it('knows no place but its own', () => {
    for (const after of ['x', 'e30', '', Buffer.from('["a"]').toString('base64url'), Buffer.from('[{},1]').toString('base64url')])
      expect(store.entries.page({ ...ASK, after }), after).toBeNull();
  });
}); // prettier-ignore

describe('lists of records', () => {
  it('cables by what they are called, page by page, and what a search finds', () => {
    store.close();
    // Opened again, what records are found by is made.
    store = SiteStore.open('s', folder, 'src/store/migrations/site', AT);
    const first = store.lists.named('cable', { q: '', after: null, limit: 1 })!;
    expect(first).toMatchObject({ rows: [{ tag: plant().get('cable', 'k')!.tag }], matching: 2 });
    const second = store.lists.named('cable', { q: '', after: first.next, limit: 1 })!;
    expect(second).toMatchObject({ rows: [{ tag: 'P-2' }], matching: null, next: null });
    expect(store.lists.search('P-2', 10)).toMatchObject([{ table: 'cable', id: 'k2', title: 'P-2' }]);
    expect(store.lists.search('jb-1, entry', 3)).toHaveLength(3);
    expect(store.lists.search('  ', 3)).toEqual([]);
  });

  it('enclosures of an area are marked by the worst of their entries, the worst first', () => {
    const own = MADE.filter(({ area }) => area === 'a');
    const worst = Math.min(...own.map(({ status }) => ENTRY_STATES.indexOf(status.state)));
    const { marks, of } = store.entries.marks('a', 10);
    expect([marks.length, of]).toEqual([1, 1]);
    expect(marks[0]).toMatchObject({ id: 'b', entries: own.length, worst: { state: ENTRY_STATES[worst] } });
    expect(own.find(({ id }) => id === marks[0]!.worst.id)!.status.state).toBe(ENTRY_STATES[worst]);
    expect(store.entries.marks('nowhere', 10)).toEqual({ marks: [], of: 0 });
  });
});
