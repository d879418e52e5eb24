import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { curve, blocks, lattice, levels } from './instances.test.data';
import { lengthOf, walk } from './walk';
import type { WalkJob, WalkStop } from './types';

const whole = fc.integer({ min: -20, max: 20 });
const stop = fc.record({
  xM: whole,
  yM: whole,
  zM: fc.constantFrom(0, 4, 8),
  together: fc.constantFrom(null, null, 'scaffold 1', 'isolation 2'),
});
const job = (most: number) =>
  fc.record({
    start: fc.record({ xM: whole, yM: whole, zM: fc.constant(0) }),
    stops: fc.array(stop, { maxLength: most }).map((all) => all.map((one, i) => ({ ...one, id: `${i}` }))),
    climb: fc.constantFrom(0, 1, 3),
    returns: fc.boolean(),
  });

const stopsOf = ({ stops }: WalkJob, order: readonly string[]): WalkStop[] =>
  order.map((id) => stops.find((one) => one.id === id)!);

/** Whether what belongs together is visited without a break. */
function keepsTogether(stops: readonly WalkStop[]): boolean {
  const left = new Set<string>();
  return stops.every(({ together }, i) => {
    const before = stops[i - 1]?.together ?? null;
    if (before !== null && before !== together) left.add(before);
    return together === null || !left.has(together);
  });
}

/** The least length of every order that keeps together what belongs together. */
function leastOf(given: WalkJob): number {
  let least = Infinity;
  const go = (sofar: WalkStop[], left: readonly WalkStop[]): void => {
    if (!keepsTogether(sofar)) return;
    if (left.length === 0) least = Math.min(least, lengthOf(given, sofar));
    for (const next of left) go([...sofar, next], left.filter((one) => one !== next)); // prettier-ignore
  };
  go([], given.stops);
  return least;
}

describe('a walk', () => {
  it('of a few stops is as short as the best of all orders', () => {
    fc.assert(
      fc.property(job(6), (given) => {
        const found = walk(given);
        expect(found.lengthM).toBeCloseTo(leastOf(given), 9);
        expect(keepsTogether(stopsOf(given, found.order))).toBe(true);
      }),
    );
  });

  it('calls at every stop once, keeps together what belongs together, and is as long as it says', () => {
    fc.assert(
      fc.property(job(60), (given) => {
        const { order, lengthM } = walk(given, { swaps: 300 });
        const stops = stopsOf(given, order);
        expect([...order].sort()).toEqual(given.stops.map(({ id }) => id).sort());
        expect(keepsTogether(stops)).toBe(true);
        expect(lengthM).toBeCloseTo(lengthOf(given, stops), 9);
      }),
      { numRuns: 60 },
    );
  });

  it('of twelve stops found by searching is hardly longer than the best', () => {
    fc.assert(
      fc.property(job(12), (given) => {
        // More stops at places of their own, so that it is searched for, all where the walk begins.
        const many = Array.from({ length: 12 }, (_, i) => ({
          ...given.start, xM: given.start.xM + i * 1e-7, id: `near ${i}`, together: null,
        })); // prettier-ignore
        const found = walk({ ...given, stops: [...given.stops, ...many] }, { swaps: 3000 });
        expect(found.lengthM).toBeLessThanOrEqual(1.02 * walk(given).lengthM + 1e-4);
      }),
      { numRuns: 30 },
    );
  });

  it.each([1, 2, 3])(
    'of 300 stops is at most a fiftieth longer than the best that is known, drawn as %i',
    (seed) => {
      for (const { job: given, bestM } of [lattice(seed), levels(seed), curve(seed), blocks(seed)]) {
        const { lengthM, order } = walk(given, { swaps: 10_000 });
        expect(order).toHaveLength(300);
        expect(lengthM).toBeGreaterThan(bestM - 1e-6);
        expect(lengthM).toBeLessThanOrEqual(1.02 * bestM);
      }
    },
  );

  it('tells each shorter way, and stops when it is told to', () => {
    const lengths: number[] = [];
    const { job: given } = lattice(4);
    const found = walk(given, {
      isOver: () => lengths.length > 1,
      news: ({ lengthM }) => lengths.push(lengthM),
    });
    expect(lengths.length).toBe(2);
    expect(lengths[1]).toBeLessThan(lengths[0]!);
    expect(found.lengthM).toBe(lengths[1]);
  });

  it('is the same for the same stops', () => {
    const { job: given } = levels(5);
    expect(walk(given, { swaps: 500 })).toEqual(walk(given, { swaps: 500 }));
  });

  it('to nowhere is empty', () => {
    expect(walk({ start: { xM: 1, yM: 2, zM: 3 }, stops: [], climb: 3, returns: true })).toEqual({ order: [], lengthM: 0 }); // prettier-ignore
  });
});
