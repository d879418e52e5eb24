import fc from 'fast-check';
import loadHighs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { fillUp } from './greedy';
import { pack } from './pack';
import { packingFaults } from './packing-faults.test.data';
import { patternsOf } from './patterns';
import { solverOf, type HighsLike } from './solver';
import type { Block, LockedRow, Opening, PackJob, Packing, Solve } from './types';

let solve: Solve;
beforeAll(async () => {
  solve = solverOf((await loadHighs({})) as unknown as HighsLike);
});

const BLOCKS: Block[] = [
  [15, 3, 11], [20, 4, 14.5], [30, 10, 25], [40, 21, 34], [60, 28, 54], [90, 48, 71], [120, 67, 99],
].map(([sizeMm, low, high]) => ({ sizeMm: sizeMm!, rangeMm: [low!, high!] })); // prettier-ignore
const opening = (id: string, change: Partial<Opening> = {}): Opening => ({
  id, widthMm: 120, heightMm: 398, plateMm: 1, compressionMm: [20, 45], ...change,
}); // prettier-ignore
const cables = (diameters: readonly number[]) =>
  diameters.map((mm, i) => ({ id: `c${i}`, minMm: mm, maxMm: mm + 0.2 }));
const job = (change: Partial<PackJob> = {}): PackJob => ({
  openings: [opening('A')],
  blocks: BLOCKS,
  cables: cables([8, 9, 12, 12, 18, 24, 30, 44]),
  sparePct: 20,
  ...change,
});
function packed(of: PackJob): Packing {
  const result = pack(of, solve);
  if (!result.fits) throw new Error(JSON.stringify(result.reason));
  expect(packingFaults(of, result.packing)).toEqual([]);
  return result.packing;
}

/** The least height of the rows with cables, by trying every set of rows; infinite where nothing fits. */
function lowestOf({ openings, blocks, cables: all }: PackJob): number {
  const [{ widthMm, heightMm, plateMm, compressionMm }] = openings as [Opening];
  const { patterns } = patternsOf(
    widthMm,
    blocks.map(({ sizeMm }) => sizeMm),
  );
  const rows = [...new Set(patterns.map((pattern) => pattern.heightMm + plateMm))];
  const spare = new Set([0]);
  for (const sum of spare) for (const row of rows) if (sum + row <= heightMm) spare.add(sum + row);
  const choices = all.map(({ minMm, maxMm }) =>
    blocks.flatMap(({ rangeMm: [a, b] }, j) => (a <= minMm && maxMm <= b ? j : [])),
  );
  const housed = (left: number[], i = 0): boolean =>
    i === choices.length ||
    choices[i]!.some((j) => {
      if (left[j]! <= 0) return false;
      return housed(left.map((n, k) => (k === j ? n - 1 : n)), i + 1); // prettier-ignore
    });
  const closes = (height: number) =>
    [...spare].some((more) => {
      const left = heightMm - height - more;
      return left >= compressionMm[0] - 1e-9 && left <= compressionMm[1] + 1e-9;
    });
  let lowest = Infinity;
  const grow = (from: number, height: number, room: number[]) => {
    if (height >= lowest || height > heightMm) return;
    if (closes(height) && housed(room)) {
      lowest = height;
      return;
    }
    patterns.forEach((pattern, p) => {
      if (p >= from) grow(p, height + pattern.heightMm + plateMm, room.map((n, j) => n + pattern.blocks[j]!)); // prettier-ignore
    });
  };
  grow(0, 0, blocks.map(() => 0)); // prettier-ignore
  return lowest;
}

describe('packing an opening', () => {
  it('is geometrically right and proven, and each step is no worse than the one before', () => {
    const heights: number[] = [];
    const of = job();
    const result = pack(of, solve, {
      news: (packing) => {
        expect(packingFaults(of, packing)).toEqual([]);
        heights.push(packing.cableRowsHeightMm);
      },
    });
    expect(result).toMatchObject({ fits: true, packing: { provenBest: true, openingsUsed: 1 } });
    expect(heights).toEqual([...heights].sort((a, b) => b - a));
  });

  it('any set of cables: right, or a reason that says why', () => {
    const diameters = fc.array(fc.double({ min: 3, max: 80, noNaN: true }), { maxLength: 14 });
    const heights = fc.integer({ min: 60, max: 420 });
    fc.assert(
      fc.property(diameters, heights, fc.integer({ min: 0, max: 60 }), (mm, heightMm, sparePct) => {
        const of = job({ cables: cables(mm), openings: [opening('A', { heightMm })], sparePct });
        const result = pack(of, solve, { seconds: 3 });
        if (result.fits) expect(packingFaults(of, result.packing)).toEqual([]);
        else if (result.reason.code === 'height') expect(result.reason.missingMm).toBeGreaterThan(1e-6);
        else expect(result.reason.cables.length).toBeGreaterThan(0);
      }),
      { numRuns: 25 },
    );
  });

  it('of small jobs is as low as the lowest that trying every set of rows finds, and fits when one does', () => {
    const some = BLOCKS.filter(({ sizeMm }) => [20, 30, 40, 60].includes(sizeMm));
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 4, max: 50, noNaN: true }), { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 100, max: 200 }),
        fc.integer({ min: 10, max: 30 }),
        fc.integer({ min: 1, max: 25 }),
        (mm, heightMm, low, span) => {
          const known = cables(mm).filter(({ minMm, maxMm }) =>
            some.some(({ rangeMm: [a, b] }) => a <= minMm && maxMm <= b),
          );
          const of = job({
            blocks: some,
            cables: known,
            openings: [opening('A', { widthMm: 60, heightMm, compressionMm: [low, low + span] })],
          });
          const result = pack(of, solve, { seconds: 5 });
          const lowest = lowestOf(of);
          expect(result.fits).toBe(lowest < Infinity);
          if (result.fits) expect(result.packing.cableRowsHeightMm).toBeCloseTo(lowest, 6);
        },
      ),
      { numRuns: 30 },
    );
  });

  it('never needs more height than every cable in a row of its own', () => {
    const { cableRowsHeightMm } = packed(job({ cables: cables([12, 12, 12, 12, 12, 12]) }));
    expect(cableRowsHeightMm).toBe(21);
  });

  it('takes a larger block where that saves a row', () => {
    // Twelve of 20 mm do not go into two rows of six beside a 60 mm block; its neighbours are filled instead.
    const { cableRowsHeightMm } = packed(job({ cables: cables([40, 20, 20, 20, 20]) }));
    expect(cableRowsHeightMm).toBe(61);
  });

  it('names the cables that no block takes', () => {
    const result = pack(job({ cables: cables([8, 120, 1]) }), solve);
    expect(result).toEqual({ fits: false, reason: { code: 'no-block', cables: ['c1', 'c2'], missingMm: 0 } });
  });

  it('names the cables whose blocks do not fill the width', () => {
    const of = job({ openings: [opening('A', { widthMm: 60 })], cables: cables([8, 80]) });
    expect(pack(of, solve)).toMatchObject({ fits: false, reason: { code: 'width', cables: ['c1'] } });
  });

  it('says how much height is missing, or by how much the window is missed', () => {
    const low = job({ openings: [opening('A', { heightMm: 70 })], cables: cables([50, 50, 50]) });
    // One row of 120 with its plate, and 20 for the wedge: 141 mm.
    expect(pack(low, solve)).toMatchObject({
      fits: false,
      reason: { code: 'height', missingMm: expect.closeTo(71, 4) },
    });
    const narrow = job({
      openings: [opening('A', { heightMm: 100, compressionMm: [20, 24] })],
      cables: cables([50]),
    });
    expect(pack(narrow, solve)).toMatchObject({ fits: true });
  });

  it('gives the wanted spare share where it can be had, else the largest', () => {
    expect(packed(job({ sparePct: 40 })).sparePct).toBeGreaterThanOrEqual(40);
    const full = packed(job({ sparePct: 99 }));
    expect(full.sparePct).toBeLessThan(99);
    expect(full.sparePct).toBeGreaterThan(60);
  });

  it('an opening without cables is filled with the largest blanks', () => {
    const { openings } = packed(job({ cables: [] }));
    expect(openings[0]!.rows[0]!.columns).toEqual([{ widthMm: 120, blocks: [null] }]);
  });

  it('keeps locked rows, fills their blanks, and counts them', () => {
    const locked: LockedRow = {
      opening: 'A', heightMm: 60,
      columns: [{ widthMm: 60, blocks: ['c7'] }, { widthMm: 30, blocks: [null, null] }, { widthMm: 30, blocks: [null, 'c4'] }],
    }; // prettier-ignore
    const { openings, cableRowsHeightMm } = packed(job({ locked: [locked] }));
    const row = openings[0]!.rows.find(({ columns }) => columns.some(({ blocks }) => blocks.includes('c7')))!;
    expect(row.columns.find(({ blocks }) => blocks.includes('c4'))!.blocks[1]).toBe('c4');
    const free = packed(job()).cableRowsHeightMm;
    expect(cableRowsHeightMm).toBeGreaterThanOrEqual(free);
  });

  it('an answer from the solver that failed is the first complete one, not called proven', () => {
    const dead: Solve = () => ({ status: 'unknown', value: () => 0 });
    const result = pack(job(), dead);
    expect(result).toMatchObject({ fits: true, packing: { provenBest: false } });
    if (result.fits) expect(packingFaults(job(), result.packing)).toEqual([]);
  });

  it('several openings: as few as will do, then the least height', () => {
    const many = Array.from({ length: 60 }, (_, i) => 6 + ((i * 7) % 30));
    const openings = ['A', 'B', 'C'].map((id) => opening(id));
    const packing = packed(job({ openings, cables: cables(many), sparePct: 10 }));
    expect(packing.openingsUsed).toBe(2);
    expect(packing.provenBest).toBe(true);
    const alone = pack(job({ openings: openings.slice(0, 1), cables: cables(many) }), solve);
    expect(alone).toMatchObject({ fits: false, reason: { code: 'height' } });
  });

  it('openings of different widths keep to their own', () => {
    const openings = [
      opening('A', { widthMm: 60, heightMm: 220 }),
      opening('B', { widthMm: 180, heightMm: 220 }),
    ];
    packed(job({ openings, cables: cables([80, 30, 30, 20, 20, 20, 12, 12, 12, 50, 50, 8, 8]) }));
  });
});

describe('rows', () => {
  it('are filled exactly, with columns that divide their height', () => {
    const { patterns, complete } = patternsOf(120, [20, 30, 60]);
    expect(complete).toBe(true);
    for (const { heightMm, columns } of patterns) {
      expect(columns.reduce((sum, n, j) => sum + n * [20, 30, 60][j]!, 0)).toBe(120);
      columns.forEach((n, j) => n > 0 && expect(heightMm % [20, 30, 60][j]!).toBe(0));
    }
    expect(patterns.filter(({ heightMm }) => heightMm === 20)).toHaveLength(1);
    expect(patterns.filter(({ heightMm }) => heightMm === 30)).toHaveLength(1);
    // 120 of 20, 30 and 60: 60+60, 60+30+30, 60+20·3, 30·4, 30·2+20·3, 20·6.
    expect(patterns.filter(({ heightMm }) => heightMm === 60)).toHaveLength(6);
  });

  it('spare rows reach the window, the larger ones first', () => {
    expect(fillUp([60, 30, 20], 1, 100, 120)).toEqual([60, 30, 20]);
    expect(fillUp([60, 30], 1, 10, 20)).toBeNull();
    expect(fillUp([60, 30], 1, -5, 3)).toEqual([]);
  });
});
