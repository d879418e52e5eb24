import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dossierWith } from '../rulebook/sound-entry.test.data';
import type { Range } from '../record/types';
import { coverage, seriesOf } from './series';

const range = (size: string, low: number, high: number) => ({ size, rangeMm: [low, high] as Range });

describe('a size series on one scale', () => {
  it.each([
    ['neighbours that meet', [range('A', 1, 2), range('B', 2, 3)], [], []],
    ['a hole', [range('A', 1, 2), range('B', 2.4, 3)], [], [[2, 2.4]]],
    ['an overlap', [range('B', 1.8, 3), range('A', 1, 2)], [['A', 'B', 1.8, 2]], []],
    ['a size within another', [range('A', 1, 9), range('B', 2, 3)], [['A', 'B', 2, 3]], []],
    [
      'a hole behind a wide size',
      [range('A', 1, 9), range('B', 2, 3), range('C', 10, 11)],
      [['A', 'B', 2, 3]],
      [[9, 10]],
    ],
    ['one size', [range('A', 1, 2)], [], []],
  ] as const)('%s', (_what, ranges, overlaps, holes) => {
    const found = coverage(ranges);
    expect(found.overlaps.map(({ sizes, rangeMm }) => [...sizes, ...rangeMm])).toEqual(overlaps);
    expect(found.holes).toEqual(holes);
  });

  it('says of every diameter between the ends either who takes it or that it lies in a hole', () => {
    const size = fc.tuple(fc.integer({ min: 0, max: 80 }), fc.integer({ min: 1, max: 20 }));
    fc.assert(
      fc.property(
        fc.array(size, { minLength: 1, maxLength: 7 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (all, share) => {
          const ranges = all.map(([low, width], i) => range(`S${i}`, low, low + width));
          const [least, most] = [
            Math.min(...ranges.map((r) => r.rangeMm[0])),
            Math.max(...ranges.map((r) => r.rangeMm[1])),
          ];
          const mm = least + share * (most - least);
          const taken = ranges.filter(({ rangeMm: [a, b] }) => a <= mm && mm <= b).length;
          const { holes, overlaps } = coverage(ranges);
          expect(holes.some(([a, b]) => a < mm && mm < b)).toBe(taken === 0);
          if (taken >= 2 && ranges.every(({ rangeMm }) => !rangeMm.includes(mm)))
            expect(overlaps.some(({ rangeMm: [a, b] }) => a <= mm && mm <= b)).toBe(true);
        },
      ),
    );
  });

  it('has a scale per seal, per armour with its ring, and for the pot', () => {
    const titles = (kind: Parameters<typeof dossierWith>[0]) =>
      seriesOf(dossierWith(kind).certificate!.sheet).map(({ is, armour, face }) =>
        [is, armour, face].filter(Boolean).join(' '),
      );
    expect(titles({})).toEqual(['outer-seal', 'inner-seal', 'clamp wire', 'clamp braid']);
    expect(titles({ kind: 'gland-reversible-ring' })).toContain('clamp braid braid');
    expect(titles({ kind: 'gland-barrier' })).toContain('over-cores');
    expect(titles({ kind: 'gland-plain' })).toEqual(['outer-seal', 'inner-seal']);
  });
});
