import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sampleSize, upperDefectives } from './sample';

/** Ways to choose, exactly. */
function choose(from: number, many: number): bigint {
  if (many < 0 || many > from) return 0n;
  let ways = 1n;
  for (let i = 0; i < many; i++) ways = (ways * BigInt(from - i)) / BigInt(i + 1);
  return ways;
}

/** Probability to find at most so many, by counting every draw. */
function foundAtMost(population: number, defectives: number, sample: number, found: number): number {
  let ways = 0n;
  for (let k = 0; k <= found; k++)
    ways += choose(defectives, k) * choose(population - defectives, sample - k);
  return Number((ways * 10n ** 18n) / choose(population, sample)) / 1e18;
}

const population = fc.integer({ min: 1, max: 120 });
const confidence = fc.constantFrom(50, 80, 90, 95, 99, 99.9);

describe('samples', () => {
  it('are the smallest that support their claim', () => {
    fc.assert(
      fc.property(population, fc.constantFrom(0, 0.5, 1, 5, 10, 50, 99), confidence, (n, tolerable, sure) => {
        const sample = sampleSize(n, tolerable, sure);
        const defectives = Math.floor((tolerable * n) / 100 + 1e-9) + 1;
        const isEnough = (drawn: number) => foundAtMost(n, defectives, drawn, 0) <= 1 - sure / 100 + 1e-12;
        expect(isEnough(sample)).toBe(true);
        expect(sample === 1 || !isEnough(sample - 1)).toBe(true);
      }),
    );
  });

  it('bound what may be defective by the largest number that is not too unlikely', () => {
    fc.assert(
      fc.property(population, fc.nat(), fc.nat(), confidence, (n, s, d, sure) => {
        const sample = s % (n + 1);
        const defective = d % (sample + 1);
        const upper = upperDefectives(n, sample, defective, sure);
        const isLikely = (defectives: number) =>
          foundAtMost(n, defectives, sample, defective) > 1 - sure / 100 + 1e-12;
        expect(isLikely(upper)).toBe(true);
        expect(upper === n - sample + defective || !isLikely(upper + 1)).toBe(true);
      }),
    );
  });

  it('on a limit of the claim it is met: one in twenty at 95 %', () => {
    // With one defective among them, the chance to miss it is what was not drawn.
    expect(sampleSize(20, 0, 95)).toBe(19);
    expect(sampleSize(1000, 0, 90)).toBe(900);
    expect(sampleSize(1_000_000, 0, 95)).toBe(950_000);
  });

  it('of everything that was drawn, what was found is all', () => {
    expect(upperDefectives(40, 40, 3, 95)).toBe(3);
    expect(upperDefectives(40, 0, 0, 95)).toBe(40);
  });

  it('stay exact for populations no plant has', () => {
    expect(sampleSize(100_000_000, 50, 99)).toBe(7);
    // Nearly binomial: 3.00 defectives for none found, by the chance of each draw.
    expect(upperDefectives(100_000_000, 1000, 0, 95) / 1e8).toBeCloseTo(1 - 0.05 ** (1 / 1000), 6);
  });
});
