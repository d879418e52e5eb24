import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apply } from '../commands/apply';
import { isRefusal, type AnyCommand } from '../commands/commands';
import { plant } from '../commands/plant.test.data';
import { closure, isWhole, NOTHING, type Scope } from '../record/closure';
import { partNews } from '../record/part';
import { squash, type MemorySlice, type RecordChange } from '../record/slice';
import { standingOf } from './standing';

const AT = '2026-03-05T10:00:00.000Z';
const ENTRIES = ['e', 'f', 'g', 'h', 't'];

/** The same plant with its entries in other enclosures, on other cables, in other rounds. */
function otherPlant(choices: readonly number[]): MemorySlice {
  const slice = plant();
  const pick = <T>(from: readonly T[], i: number): T => from[choices[i % choices.length]! % from.length]!;
  ENTRIES.forEach((id, i) => {
    const entry = slice.get('entry', id)!;
    const after = {
      ...entry,
      enclosure: pick(['b', 'b2'], i),
      cable: entry.frame ? null : pick(['k', 'k2', null], i + 5),
      label: pick(['A', 'B', 'Z'], i + 10),
    };
    slice.write([{ table: 'entry', id, after }]);
  });
  const round = slice.get('round', 'r')!;
  const some = ENTRIES.filter((_, i) => pick([true, true, false], i + 15));
  slice.write([
    { table: 'round', id: 'r', after: { ...round, entries: some } },
    {
      table: 'round',
      id: 'r2',
      after: {
        ...round,
        id: 'r2',
        started: '2026-03-04T08:00:00.000Z',
        entries: ENTRIES.filter((id) => !some.includes(id)),
      },
    },
    {
      table: 'enclosure',
      id: 'b2',
      after: { ...slice.get('enclosure', 'b2')!, area: pick(['a', 'a2'], 20) },
    },
  ]);
  return slice;
}

describe('what is taken along', () => {
  const some = (of: readonly string[]) => fc.subarray([...of], { maxLength: 2 });
  const scope: fc.Arbitrary<Scope> = fc.record({ rounds: some(['r', 'r2']), areas: some(['a', 'a2']), enclosures: some(['b', 'b2']), cables: some(['k', 'k2']), entries: some(ENTRIES) });

  it('judges every entry of it as the whole site does', () => {
    let judged = 0;
    fc.assert(
      fc.property(fc.array(fc.nat(60), { minLength: 21, maxLength: 21 }), scope, (choices, taken) => {
        const slice = otherPlant(choices);
        const { entries, records, size } = closure(slice, 's', taken);
        for (const id of entries) {
          judged++;
          expect(standingOf(records, id, 's', AT), id).toEqual(standingOf(slice, id, 's', AT));
        }
        for (const { id } of records.all('entry')) {
          if (!isWhole(records, taken, id)) continue;
          expect(standingOf(records, id, 's', AT), id).toEqual(standingOf(slice, id, 's', AT));
        }
        for (const id of entries) expect(isWhole(records, taken, id)).toBe(true);
        expect(size).toBeGreaterThan(0);
      }),
      { numRuns: 150, seed: 17 },
    );
    expect(judged).toBeGreaterThan(200);
  });

  it('is what was asked for, and what there is none of is left out', () => {
    const slice = plant();
    const { entries, records } = closure(slice, 's', { ...NOTHING, entries: ['e', 'nowhere'] });
    expect([...entries]).toEqual(['e']);
    expect(records.all('enclosure').map(({ id }) => id)).toContain('b');
    expect(records.all('frozen')).toEqual([]);
    expect(closure(slice, 's', NOTHING).records.all('entry')).toEqual([]);
  });

  it('follows the news of its site, and notices when something is missing', () => {
    const pick = <T>(from: readonly T[], n: number): T => from[n % from.length]!;
    const moves: ((n: number, id: string) => [string, object])[] = [
      (n) => ['entry.edit', { id: pick(ENTRIES, n), set: pick<object>([{ enclosure: 'b' }, { enclosure: 'b2' }, { cable: 'k' }, { cable: 'k2' }, { cable: null }], n >> 3) }],
      (n) => ['enclosure.edit', { id: pick(['b', 'b2'], n), set: { area: pick(['a', 'a2'], n >> 1) } }],
      (n) => ['round.edit', { id: pick(['r', 'r2'], n), set: { entries: pick([['e', 'f'], ['g'], ENTRIES, ['h', 't']], n >> 1) } }],
      (n, id) => ['reading.take', { id, entry: pick(ENTRIES, n), round: 'r', place: 'outer-sheath', value: 15 + (n % 9), typed: 'x', method: 'caliper', instrument: 'c', source: 'typed' }],
      (n) => ['undo', { command: `c${n % 8}` }],
    ];
    let [told, fetched] = [0, 0];
    const step = fc.tuple(fc.nat(moves.length - 1), fc.nat(500), fc.boolean());
    fc.assert(
      fc.property(fc.array(fc.nat(60), { minLength: 21, maxLength: 21 }), scope, fc.array(step, { minLength: 3, maxLength: 10 }), (choices, taken, steps) => {
        const site = otherPlant(choices);
        let { records } = closure(site, 's', taken);
        let news: RecordChange[] = [];
        steps.forEach(([which, n, waits], i) => {
          const [kind, payload] = moves[which]!(n, `x${i}`);
          try {
            const changes = apply(site, { id: `c${i}`, kind, site: 's', at: AT, payload } as AnyCommand, 'A. Vell');
            site.write(changes);
            news.push(...changes);
          } catch (error) {
            if (!isRefusal(error)) throw error;
          }
          if (waits || news.length === 0) return;
          told++;
          if (partNews(records, taken, squash(news)).lacks) {
            fetched++;
            ({ records } = closure(site, 's', taken));
          }
          news = [];
          for (const id of closure(site, 's', taken).entries)
            expect(standingOf(records, id, 's', AT), id).toEqual(standingOf(site, id, 's', AT));
        });
      }),
      { numRuns: 300, seed: 18 },
    );
    expect(told).toBeGreaterThan(500);
    expect(fetched).toBeGreaterThan(50);
  });
}); // prettier-ignore
