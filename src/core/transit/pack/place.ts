import { coarsest, type Model } from './model';
import { stacked, type Pattern } from './patterns';
import type { Packing, Row } from './types';

/** Rows by opening and how many cables of each type sit in each size: what a packing comes down to. */
export interface Counts {
  /** Patterns of the rows with cables, by opening. */
  rows: Pattern[][];
  /** Heights of the rows without, by opening. */
  spare: number[][];
  /** Cables of a type in blocks of a size. */
  taken: number[][];
}

/** Puts the cables of the counts into blocks and orders the rows: cable rows by falling height, spare rows at the wedge. */
export function place(model: Model, { rows, spare, taken }: Counts, provenBest: boolean): Packing {
  const { job, sizesMm, widths, widthOf, locked, types } = model;
  const placed = job.openings.map((_, o) => {
    const own = rows[o]!.map((pattern) => rowOf(pattern, sizesMm));
    const kept = locked.rows[o]!.map(({ heightMm, columns }): Row => ({
      heightMm,
      columns: columns.map(({ widthMm, blocks }) => ({ widthMm, blocks: [...blocks] })),
    }));
    return [...kept, ...own].sort((a, b) => b.heightMm - a.heightMm);
  });
  const queues = sizesMm.map((_, j) => {
    const queue: { id: string; maxMm: number }[] = [];
    types.forEach(({ cables }, k) => {
      const before = taken[k]!.slice(0, j).reduce((sum, n) => sum + n, 0);
      // The thicker cables of a type go into its larger blocks.
      const sorted = [...cables].sort((a, b) => a.maxMm - b.maxMm || (a.id < b.id ? -1 : 1));
      queue.push(...sorted.slice(before, before + (taken[k]![j] ?? 0)));
    });
    return queue.sort((a, b) => b.maxMm - a.maxMm);
  });
  for (const row of placed.flat()) {
    for (const column of row.columns) {
      const queue = queues[sizesMm.indexOf(column.widthMm)];
      column.blocks = column.blocks.map((cable) => cable ?? queue?.shift()?.id ?? null);
    }
  }
  return finish(model, placed, spare, provenBest, { widths, widthOf });
}

function rowOf({ heightMm, columns }: Pattern, sizesMm: readonly number[]): Row {
  const list = columns.flatMap((count, j) =>
    Array.from({ length: count }, () => {
      const widthMm = sizesMm[j]!;
      return { widthMm, blocks: new Array<string | null>(stacked(heightMm, widthMm)).fill(null) };
    }),
  );
  return { heightMm, columns: list.sort((a, b) => b.widthMm - a.widthMm) };
}

const holdsCable = ({ columns }: Row): boolean =>
  columns.some(({ blocks }) => blocks.some((cable) => cable !== null));

function finish(
  { job, sizesMm }: Model,
  placed: Row[][],
  spare: number[][],
  provenBest: boolean,
  { widths, widthOf }: Pick<Model, 'widths' | 'widthOf'>,
): Packing {
  let [cableRowsHeightMm, openingsUsed, blankMm2, allMm2] = [0, 0, 0, 0];
  const sizes = new Set<number>();
  const openings = job.openings.map(({ id, heightMm, plateMm }, o) => {
    const { patterns } = widths[widthOf[o]!]!;
    const blank = [...spare[o]!]
      .sort((a, b) => b - a)
      .map((height) => rowOf(coarsest(patterns, height)!, sizesMm));
    const withCables = placed[o]!.filter(holdsCable);
    const rows = [...withCables, ...placed[o]!.filter((row) => !holdsCable(row)), ...blank];
    if (withCables.length > 0) openingsUsed++;
    for (const row of withCables) cableRowsHeightMm += row.heightMm + plateMm;
    for (const { columns } of rows) {
      for (const { widthMm, blocks } of columns) {
        for (const cable of blocks) {
          allMm2 += widthMm * widthMm;
          if (cable === null) blankMm2 += widthMm * widthMm;
          else sizes.add(widthMm);
        }
      }
    }
    const compressionMm = rows.reduce((left, row) => left - row.heightMm - plateMm, heightMm);
    return { id, rows, compressionMm };
  });
  return {
    openings,
    cableRowsHeightMm,
    openingsUsed,
    sizesUsed: sizes.size,
    sparePct: allMm2 === 0 ? 0 : (100 * blankMm2) / allMm2,
    provenBest,
  };
}
