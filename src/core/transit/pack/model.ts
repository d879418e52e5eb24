import { atMost } from '../../quantity/compare';
import { patternsOf, type Pattern } from './patterns';
import type { LockedRow, Opening, PackCable, PackJob, PackReason } from './types';

/** Cables that the same block sizes take. */
interface CableType {
  /** Indices of the block sizes. */
  sizes: number[];
  cables: PackCable[];
}

/** A job made ready for counting: cables by type, rows by pattern. */
export interface Model {
  job: PackJob;
  sizesMm: number[];
  types: CableType[];
  /** Patterns of each width that the openings have, and of each opening the width it has. */
  widths: { widthMm: number; patterns: Pattern[] }[];
  widthOf: number[];
  /** Every pattern was enumerated. */
  complete: boolean;
  locked: {
    rows: LockedRow[][];
    /** Height of the locked rows of each opening, plates included, and how much of it holds cables already. */
    heightMm: number[];
    /** Free blocks by size. */
    free: number[];
    /** Sizes that hold a locked cable, and the area of their blocks, mm². */
    sizes: Set<number>;
    cableMm2: number;
    blockMm2: number;
  };
}

/** The block sizes that take a cable, by index. */
const sizesFor = ({ blocks }: PackJob, { minMm, maxMm }: PackCable, sizesMm: readonly number[]): number[] =>
  sizesMm.flatMap((size, index) =>
    blocks.some(
      ({ sizeMm, rangeMm }) => sizeMm === size && atMost(rangeMm[0], minMm) && atMost(maxMm, rangeMm[1]),
    )
      ? index
      : [],
  );

/** Makes a job ready, or says why nothing can be packed whatever the heights. */
export function modelOf(job: PackJob): Model | PackReason {
  const sizesMm = [...new Set(job.blocks.map(({ sizeMm }) => sizeMm))].sort((a, b) => a - b);
  const lockedRows = job.openings.map(({ id }) => (job.locked ?? []).filter(({ opening }) => opening === id));
  const fixed = new Set(lockedRows.flat().flatMap((row) => row.columns.flatMap(({ blocks }) => blocks)));
  const types = new Map<string, CableType>();
  const homeless: string[] = [];
  for (const cable of job.cables) {
    if (fixed.has(cable.id)) continue;
    const sizes = sizesFor(job, cable, sizesMm);
    if (sizes.length === 0) homeless.push(cable.id);
    const key = sizes.join(' ');
    const type = types.get(key);
    if (type) type.cables.push(cable);
    else types.set(key, { sizes, cables: [cable] });
  }
  if (homeless.length > 0) return { code: 'no-block', cables: homeless, missingMm: 0 };
  const widthsMm = [...new Set(job.openings.map(({ widthMm }) => widthMm))];
  const found = widthsMm.map((widthMm) => ({ widthMm, ...patternsOf(widthMm, sizesMm) }));
  const locked = lockedOf(lockedRows, job.openings, sizesMm);
  const placeable = (size: number) =>
    locked.free[size]! > 0 || found.some(({ patterns }) => patterns.some(({ blocks }) => blocks[size]! > 0));
  const stray = [...types.values()].filter(({ sizes }) => !sizes.some(placeable));
  if (stray.length > 0) {
    return { code: 'width', cables: stray.flatMap(({ cables }) => cables.map(({ id }) => id)), missingMm: 0 };
  }
  return {
    job,
    sizesMm,
    types: [...types.values()],
    widths: found,
    widthOf: job.openings.map(({ widthMm }) => widthsMm.indexOf(widthMm)),
    complete: found.every(({ complete }) => complete),
    locked,
  };
}

function lockedOf(
  rows: LockedRow[][],
  openings: readonly Opening[],
  sizesMm: readonly number[],
): Model['locked'] {
  const free = new Array<number>(sizesMm.length).fill(0);
  const sizes = new Set<number>();
  let [cableMm2, blockMm2] = [0, 0];
  for (const { columns } of rows.flat()) {
    for (const { widthMm, blocks } of columns) {
      const index = sizesMm.indexOf(widthMm);
      for (const cable of blocks) {
        blockMm2 += widthMm * widthMm;
        if (cable === null) {
          if (index >= 0) free[index]!++;
        } else {
          sizes.add(widthMm);
          cableMm2 += widthMm * widthMm;
        }
      }
    }
  }
  const heightMm = rows.map((own, o) =>
    own.reduce((sum, row) => sum + row.heightMm + openings[o]!.plateMm, 0),
  );
  return { rows, heightMm, free, sizes, cableMm2, blockMm2 };
}

/** Room for further rows in an opening: least and most height, plates included, mm. */
export function roomOf({ job, locked }: Model, opening: number): [leastMm: number, mostMm: number] {
  const { heightMm, compressionMm } = job.openings[opening]!;
  const left = heightMm - locked.heightMm[opening]!;
  return [left - compressionMm[1], left - compressionMm[0]];
}

/** The pattern of a row height with the fewest and so the largest blocks; null where none fills the width. */
export function coarsest(patterns: readonly Pattern[], heightMm: number): Pattern | null {
  let best: Pattern | null = null;
  let fewest = Infinity;
  for (const pattern of patterns) {
    if (pattern.heightMm !== heightMm) continue;
    const count = pattern.blocks.reduce((sum, n) => sum + n, 0);
    if (count < fewest) [best, fewest] = [pattern, count];
  }
  return best;
}

/** How many rows more than a height can hold, at most. */
export const mostRows = (roomMm: number, rowMm: number): number =>
  Math.max(0, Math.floor((roomMm + 1e-9) / rowMm));
