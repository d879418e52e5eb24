import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { peel, peelable, withinGap, type MeasuredCable, type PeelBlock } from './peel';
import { sealantNeed, wrapsOf, type SealantJob } from './sealant';

const BLOCK: PeelBlock = { boreMm: 10.5, layerMm: 0.8, layersPerHalf: 6, keepLayers: 1 };
const cable = (minMm: number, maxMm = minMm, u = 0): MeasuredCable => ({
  minMm, maxMm, meanMm: (minMm + maxMm) / 2, expandedUncertaintyMm: u,
}); // prettier-ignore
const GAP = [0.2, 1] as const;

describe('peeling', () => {
  it('keeps smallest and largest reading in the window, the halves’ difference and the layers that stay', () => {
    const sizes = fc.double({ min: 8, max: 24, noNaN: true });
    fc.assert(
      fc.property(
        sizes,
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        fc.integer({ min: 0, max: 2 }),
        (mm, spread, difference) => {
          const found = peel(BLOCK, GAP, cable(mm, mm + spread, 0.03), difference);
          // Every number of layers tried by hand: the answer is the one nearest to the middle of the window.
          let nearest: number | null = null;
          for (let m = 0; m <= 10; m++) {
            const bore = 10.5 + m * 0.8;
            const ok =
              mm - 0.03 - bore >= 0.2 - 1e-9 && mm + spread + 0.03 - bore <= 1 + 1e-9 && m % 2 <= difference;
            const off = Math.abs(mm + spread / 2 - bore - 0.6);
            if (
              ok &&
              (nearest === null || off < Math.abs(mm + spread / 2 - (10.5 + nearest * 0.8) - 0.6) - 1e-9)
            )
              nearest = m;
          }
          expect(found === null ? null : found.layers[0] + found.layers[1]).toBe(nearest);
          if (!found) return;
          expect(found.layers[0] - found.layers[1]).toBeLessThanOrEqual(difference);
          expect(Math.max(...found.layers)).toBeLessThanOrEqual(peelable(BLOCK));
          expect(withinGap(found, GAP)).toBe(true);
        },
      ),
    );
  });
  it('takes the fewer layers on a tie', () => {
    const block = { ...BLOCK, boreMm: 10, layerMm: 0.4 };
    expect(peel(block, [0, 1], cable(11.1), 1)!.layers).toEqual([1, 0]);
    expect(peel(block, [0, 1], cable(11.1 - 0.4), 1)!.layers).toEqual([0, 0]);
  });
  it('a gap on the limit meets it', () => expect(peel(BLOCK, GAP, cable(11.5), 0)!.layers).toEqual([0, 0]));
  it('finds nothing where more layers must stay than there are, or the spread is wider than the window', () => {
    expect(peel({ ...BLOCK, keepLayers: 7 }, GAP, cable(11.2), 1)).toBeNull();
    expect(peel(BLOCK, GAP, cable(15, 15.9), 1)).toBeNull();
  });
});

describe('sleeves and sealant', () => {
  const JOB: SealantJob = {
    opening: { shape: 'rect', widthMm: 100, heightMm: 100 }, cablesMm: [20, 30], depthMm: 20, sides: 2,
    wallDepthMm: 180, wastePct: 10, cartridgeMl: 300, sleeve: { outerMm: 32, innerMm: 20, lengthMm: 70 }, maxFillPct: 40,
  }; // prettier-ignore
  it('fill, volume and cartridges follow from the free area', () => {
    const need = sealantNeed(JOB);
    const free = 10_000 - (Math.PI / 4) * (400 + 900);
    expect(need.freeAreaMm2).toBeCloseTo(free, 9);
    expect(need.sealantMl).toBeCloseTo((free * 20 * 2 * 1.1) / 1000, 9);
    expect(need.cartridges).toBe(Math.ceil(need.sealantMl / 300));
    expect(need).toMatchObject({ fits: true, fillConforms: true, depthConforms: true, cutSleevesToMm: null });
  });
  it('a cable as thick as the sleeve’s bore goes into one; a thicker one is wrapped by several', () => {
    expect(wrapsOf(20, JOB.sleeve)).toBe(1);
    expect(wrapsOf(20.1, JOB.sleeve)).toBe(2);
    expect(wrapsOf(46, JOB.sleeve)).toBe(2);
    expect(wrapsOf(46.1, JOB.sleeve)).toBe(3);
  });
  it('says to which length sleeves are cut in a thin wall, and when cables and wraps are too much', () => {
    expect(sealantNeed({ ...JOB, wallDepthMm: 150 })).toMatchObject({
      depthConforms: false,
      cutSleevesToMm: 55,
    });
    expect(sealantNeed({ ...JOB, cablesMm: [60, 60, 40] })).toMatchObject({
      fits: false,
      fillerSleevesPerSide: 0,
    });
  });
});
