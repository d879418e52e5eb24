import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Area, Enclosure } from '../core/record/types';
import { layoutSite, meets, type RectM } from './site-plan';

const area = (id: string, outlineM: RectM): Area => ({ id, name: 'Extraction hall', outlineM }) as Area;
const box = (id: string, x: number, y: number): Enclosure =>
  ({ id, tag: id, area: 'a', positionM: { x, y } }) as Enclosure;

const HALL: RectM = { x: 0, y: 0, width: 30, height: 20 };

describe('the plan of a site', () => {
  it('keeps a box where it hangs while there is room', () => {
    const [planned] = layoutSite([area('a', HALL)], [box('b', 15, 12)], () => 3).areas;
    expect(planned!.scale).toBe(1);
    const [first] = planned!.boxes[0]!.marks;
    expect(first![0]).toBeCloseTo(15, 6);
    expect(first![1]).toBeCloseTo(12, 6);
  });

  it('never lays a box over another, over the name of its area or out of it, while there is any room', () => {
    const spots = fc.array(
      fc.tuple(fc.double({ min: -5, max: 35, noNaN: true }), fc.double({ min: -5, max: 25, noNaN: true }), fc.integer({ min: 0, max: 9 })),
      { minLength: 1, maxLength: 12 },
    ); // prettier-ignore
    fc.assert(
      fc.property(spots, (all) => {
        const entries = new Map(all.map(([, , n], i) => [`b${i}`, n]));
        const own = all.map(([x, y], i) => box(`b${i}`, x, y));
        const { areas } = layoutSite([area('a', HALL)], own, (id) => entries.get(id)!);
        const { boxes, scale, outline } = areas[0]!;
        expect(boxes).toHaveLength(own.length);
        for (const [i, one] of boxes.entries()) {
          expect(one.marks).toHaveLength(entries.get(one.enclosure.id)!);
          expect(one.y).toBeGreaterThanOrEqual(outline.y + 3.4 * scale - 1e-9);
          expect(one.x).toBeGreaterThanOrEqual(outline.x);
          expect(one.x + one.width).toBeLessThanOrEqual(outline.x + outline.width + 1e-9);
          expect(one.y + one.height).toBeLessThanOrEqual(outline.y + outline.height + 1e-9);
          for (const other of boxes.slice(i + 1)) expect(meets(one, other)).toBe(false);
          for (const [x, y] of one.marks) expect(meets({ x, y, width: 0, height: 0 }, one)).toBe(true);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('draws what is in an area that is too small smaller', () => {
    const own = Array.from({ length: 9 }, (_, i) => box(`b${i}`, 2, 2));
    const [planned] = layoutSite([area('a', { x: 0, y: 0, width: 14, height: 12 })], own, () => 4).areas;
    expect(planned!.scale).toBeLessThan(1);
    expect(new Set(planned!.boxes.map(({ x, y }) => `${x} ${y}`)).size).toBe(9);
  });

  it('shows every box of an area that is far too small, in rows', () => {
    const own = Array.from({ length: 40 }, (_, i) => box(`b${i}`, 1, 1));
    const [planned] = layoutSite([area('a', { x: 0, y: 0, width: 6, height: 4 })], own, () => 6).areas;
    const { boxes } = planned!;
    expect(boxes).toHaveLength(40);
    for (const [i, one] of boxes.entries())
      for (const other of boxes.slice(i + 1)) expect(meets(one, other)).toBe(false);
  });

  it('gives a small site room around it, and an empty one a plain sheet', () => {
    const { view } = layoutSite([area('a', { x: 10, y: 10, width: 6, height: 5 })], [], () => 0);
    expect(view).toEqual({ x: 13 - 28, y: 12.5 - 17, width: 56, height: 34 });
    expect(layoutSite([], [], () => 0).view.width).toBe(56);
  });
});
