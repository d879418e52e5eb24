import { describe, expect, it } from 'vitest';
import type { SeriesPart } from '../../core/finder/series';
import { coverage } from '../../core/finder/series';
import { drawRangeChart } from './range-chart';

const part = (ranges: [string, number, number][]): SeriesPart => {
  const all = ranges.map(([size, low, high]) => ({ size, rangeMm: [low, high] as [number, number] }));
  return { place: 'outer-sheath', is: 'outer-seal', armour: null, face: null, ranges: all, ...coverage(all) };
};
const SERIES = part([['S1', 8, 12], ['S2', 11, 18], ['S3', 19, 24]]); // prettier-ignore
/** Left and right end of a slot. */
const span = (points: readonly (readonly [number, number])[]) => {
  const xs = points.map(([x]) => x);
  return [Math.min(...xs), Math.max(...xs)] as const;
};

describe('the range chart of a series', () => {
  it('puts every size on one scale: equal lengths are equally long', () => {
    const slots = drawRangeChart(SERIES, null)
      .shapes.filter(({ material }) => material === 'brass')
      .map(({ points }) => span(points));
    const perMm = (slots[0]![1] - slots[0]![0]) / 4;
    expect(slots.map(([a, b]) => (b - a) / perMm)).toEqual([
      expect.closeTo(4, 9),
      expect.closeTo(7, 9),
      expect.closeTo(5, 9),
    ]);
    expect((slots[1]![0] - slots[0]![0]) / perMm).toBeCloseTo(3, 9);
  });
  it('shows the hole, and where a cable falls, across every size', () => {
    const drawn = drawRangeChart(SERIES, { lowMm: 18.2, highMm: 18.6 });
    const hole = span(drawn.shapes.find(({ material }) => material === 'void')!.points);
    const cable = span(drawn.shapes.find(({ material }) => material === 'sheath-outer')!.points);
    expect(cable[0]).toBeGreaterThan(hole[0]);
    expect(cable[1]).toBeLessThan(hole[1]);
    expect(drawn.description).toContain('holes 18.0 to 19.0 mm; the cable at 18.2 to 18.6 mm');
  });
  it('grows its scale for a cable beyond the series, and draws nothing outside its box', () => {
    for (const drop of [null, { lowMm: 2, highMm: 2 }, { lowMm: 60, highMm: 61 }]) {
      const { shapes, box } = drawRangeChart(SERIES, drop);
      for (const { points } of shapes) {
        const [left, right] = span(points);
        expect(left).toBeGreaterThanOrEqual(box[0]);
        expect(right).toBeLessThanOrEqual(box[2]);
      }
    }
  });
  it.each([
    [part([['S1', 0.2, 0.6]]), 'no overlaps, no holes'],
    [SERIES, '1 overlap, holes'],
  ])('says the same in words %#', (series, words) =>
    expect(drawRangeChart(series, null).description).toContain(words),
  );
});
