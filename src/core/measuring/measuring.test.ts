import { describe, expect, it } from 'vitest';
import { agreement } from './agreement';
import { diameter } from './diameter';
import { conformity, fitVerdict } from './fit';

const MEANS = { expandedUncertaintyMm: 0.03, coverageFactor: 2, resolutionMm: 0.01, repeatabilityMm: 0.02 };

describe('diameter', () => {
  it('takes the larger of spread and repeatability', () => {
    const quiet = diameter('caliper', [20, 20, 20], MEANS, null).standardUncertaintyMm;
    expect(quiet).toBeCloseTo(Math.hypot(0.015, 0.01 / Math.sqrt(12), 0.02), 12);
    expect(diameter('caliper', [20, 20.4, 20.8], MEANS, null).standardUncertaintyMm).toBeGreaterThan(quiet);
  });
  it('divides everything of a tape by π and widens the extremes by what it hides', () => {
    const tape = diameter('tape', [62.8318530718], MEANS, { thicknessMm: 0, ovalityAllowancePct: 2 });
    expect(tape.meanMm).toBeCloseTo(20, 9);
    expect([tape.minMm, tape.maxMm]).toEqual([expect.closeTo(19.8, 9), expect.closeTo(20.2, 9)]);
    expect(tape.ovalityPct).toBeNull();
  });
  it('is decisive from three readings with a known repeatability', () => {
    expect(diameter('caliper', [20, 20], MEANS, null).decisive).toBe(false);
    expect(diameter('caliper', [20, 20, 20], { ...MEANS, repeatabilityMm: null }, null).decisive).toBe(false);
    expect(diameter('caliper', [20, 20, 20], MEANS, null).decisive).toBe(true);
  });
});

describe('fit', () => {
  const at = (mm: number, u = 0.1) => ({ minMm: mm, maxMm: mm, meanMm: mm, standardUncertaintyMm: u });
  it.each([
    ['simple', 10.1, 'inside'],
    ['guarded', 10.1, 'marginal'],
    ['guarded', 10.2, 'inside'],
    ['guarded', 9.99, 'below'],
    ['guarded-reject', 9.85, 'marginal'],
    ['guarded-reject', 9.79, 'below'],
    ['simple', 20.01, 'above'],
  ] as const)('%s at %s mm is %s', (rule, mm, verdict) =>
    expect(fitVerdict([10, 20], at(mm), rule).verdict).toBe(verdict),
  );
  it('a value on the limit is as likely in as out; without uncertainty it is in', () => {
    expect(conformity([10, 20], at(10))).toBeCloseTo(0.5, 9);
    expect(conformity([10, 20], at(10, 0))).toBe(1);
    expect(conformity([10, 20], at(9.999, 0))).toBe(0);
  });
});

it('a cable agrees with itself within the uncertainties and the tolerance', () => {
  const of = (outer: number) =>
    agreement(
      { meanMm: outer, expandedUncertaintyMm: 0.03 },
      { meanMm: 15.2, expandedUncertaintyMm: 0.04 },
      { armourMm: 1.25, sheathMm: 1.5, toleranceMm: 0.4 },
    );
  expect(of(20.7)).toMatchObject({
    agrees: true,
    foundMm: expect.closeTo(5.5, 9),
    expectedMm: 5.5,
    allowedMm: expect.closeTo(0.45, 9),
  });
  expect(of(21.15).agrees).toBe(true);
  expect(of(21.2).agrees).toBe(false);
});
