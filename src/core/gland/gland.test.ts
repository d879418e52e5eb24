import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { wireArmour } from './armour';
import { THREADS, threadOf } from './thread-table';
import { engagedLength, identifyThread, isNearMiss, threadEngagement } from './threads';

const parallel = THREADS.filter(({ smallEndMm }) => smallEndMm === null);
const taper = THREADS.filter(({ smallEndMm }) => smallEndMm !== null);

describe('the thread table', () => {
  it('has every thread once, with a pitch of its own scale', () => {
    expect(new Set(THREADS.map(({ designation }) => designation)).size).toBe(THREADS.length);
    expect(THREADS.length).toBe(10 + 8 + 6 + 6 + 10 + 6);
    for (const { pitchMm, nominalMm, smallEndMm } of THREADS) {
      expect(pitchMm).toBeGreaterThan(1);
      expect(pitchMm).toBeLessThan(3.2);
      if (smallEndMm !== null) expect(smallEndMm).toBeLessThan(nominalMm);
    }
  });
  it('is found by its designation only', () => {
    expect(threadOf('NPT 1 1/4')?.nominalMm).toBe(42.16);
    expect(threadOf('M25x1.5')?.pitchMm).toBe(1.5);
    expect(threadOf('M25')).toBeNull();
  });
});

describe('identifying a thread', () => {
  it.each(parallel.map((thread) => [thread.designation, thread] as const))(
    'finds %s from its own sizes',
    (designation, thread) => {
      const { candidates } = identifyThread(thread.nominalMm, thread.pitchMm, false);
      expect(candidates.map((c) => c.designation)).toContain(designation);
      expect(candidates.find((c) => c.designation === designation)!.score).toBeCloseTo(0, 9);
    },
  );
  it.each(taper.map((thread) => [thread.designation, thread] as const))(
    'finds %s anywhere between its ends',
    (designation, thread) => {
      for (const major of [
        thread.smallEndMm!,
        thread.nominalMm,
        (thread.smallEndMm! + thread.nominalMm) / 2,
      ]) {
        const { candidates } = identifyThread(major, thread.pitchMm, true);
        expect(candidates.find((c) => c.designation === designation)!.score).toBeCloseTo(0, 9);
      }
    },
  );
  it('the look along the thread separates taper from parallel', () => {
    const at = (taperSeen: boolean | null) =>
      identifyThread(20.9, 25.4 / 14, taperSeen).candidates.map((c) => c.series);
    expect(at(true).every((series) => series === 'npt' || series === 'r')).toBe(true);
    expect(at(false)).toEqual(['g']);
    expect(at(null).length).toBe(at(true).length + at(false).length);
  });
  it('takes its limits and nothing beyond them', () => {
    const names = (major: number, pitch = 1.5) =>
      identifyThread(major, pitch, false).candidates.map((c) => c.designation);
    expect(names(24.55)).toEqual(['M25x1.5']);
    expect(names(24.54)).toEqual([]);
    expect(names(25.05)).toEqual(['M25x1.5']);
    expect(names(25.06)).toEqual([]);
    expect(names(25, 1.56)).toEqual(['M25x1.5', 'ET 1']);
    expect(names(25, 1.57)).toEqual(['ET 1']);
  });
  it('names near misses by distance, never a candidate', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 95, noNaN: true }),
        fc.double({ min: 1, max: 3.2, noNaN: true }),
        (major, pitch) => {
          const { candidates, nearMisses, ambiguous } = identifyThread(major, pitch, null);
          expect(ambiguous).toBe(candidates.length !== 1);
          const distances = nearMisses.map((miss) => Math.abs(miss.majorDifferenceMm));
          expect(distances).toEqual([...distances].sort((a, b) => a - b));
          for (const { designation } of nearMisses) {
            expect(candidates.map((c) => c.designation)).not.toContain(designation);
          }
        },
      ),
    );
  });
});

describe('near misses between declared threads', () => {
  const near = (a: string, b: string) => isNearMiss(threadOf(a)!, threadOf(b)!);
  it.each([
    ['M20x1.5', 'Pg 13.5', true],
    ['M20x1.5', 'G 1/2', true],
    ['M25x1.5', 'ET 1', true],
    ['M20x1.5', 'M20x1.5', false],
    ['M20x1.5', 'M25x1.5', false],
    ['M32x1.5', 'NPT 1', false],
    ['M63x1.5', 'NPT 2', false],
  ])('%s and %s: %s', (a, b, wanted) => {
    expect(near(a, b)).toBe(wanted);
    expect(near(b, a)).toBe(wanted);
  });
});

describe('engagement', () => {
  it('is the least of what the gland has and what the wall gives, never below zero', () => {
    const joint = { maleMm: 15, washerMm: 2, runoutMm: 1.5, wallMm: 12, chamfersMm: 1 };
    expect(engagedLength(joint)).toBe(11);
    expect(engagedLength({ ...joint, wallMm: 20 })).toBe(11.5);
    expect(engagedLength({ ...joint, wallMm: 0.5 })).toBe(0);
  });
  it('never gets better when the uncertainty grows', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.boolean(),
        (length, u, more, isTaper) => {
          const fine = threadEngagement(1.5, length, u, 500, isTaper);
          const coarse = threadEngagement(1.5, length, u + more, 500, isTaper);
          if (coarse.conforms) expect(fine.conforms).toBe(true);
          expect(coarse.fullThreads).toBeLessThanOrEqual(fine.fullThreads);
        },
      ),
    );
  });
  it('a taper joint counts four and a half, a parallel one five and its depth', () => {
    expect(threadEngagement(2, 9, 0, 500, true).conforms).toBe(true);
    expect(threadEngagement(2, 8.9, 0, 500, true).conforms).toBe(false);
    expect(threadEngagement(1.5, 7.5, 0, 100, false)).toMatchObject({ fullThreads: 5, conforms: true });
    expect(threadEngagement(1.5, 7.5, 0, 100.1, false)).toMatchObject({
      requiredDepthMm: 8,
      conforms: false,
    });
  });
});

describe('wire armour', () => {
  it('never overlaps: the wires leave less than one wire of room', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 80, noNaN: true }),
        fc.double({ min: 0.5, max: 4, noNaN: true }),
        (bedding, wire) => {
          const { wires, lengthFactor, areaMm2 } = wireArmour(bedding, wire, null);
          const each = 2 * Math.asin((wire * lengthFactor) / (bedding + wire));
          expect(wires * each).toBeLessThanOrEqual(2 * Math.PI + 1e-6);
          expect((wires + 1) * each).toBeGreaterThan(2 * Math.PI - 1e-6);
          expect(areaMm2).toBeCloseTo((wires * Math.PI * wire * wire) / 4, 9);
        },
      ),
    );
  });
  it('lies steeper, and with fewer wires, at a shorter lay', () => {
    const long = wireArmour(20, 1.6, 1000);
    const short = wireArmour(20, 1.6, 60);
    expect(short.lengthFactor).toBeGreaterThan(long.lengthFactor);
    expect(short.wires).toBeLessThan(long.wires);
  });
});
