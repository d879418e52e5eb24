import { SLACK } from '../../quantity/compare';

/** One way of filling a row's width: how many columns of each block size. */
export interface Pattern {
  heightMm: number;
  /** Columns by index of the block size. */
  columns: number[];
  /** Blocks by index of the block size: a column holds several one above the other. */
  blocks: number[];
}

/** Blocks of a width that stand one above the other in a row; 0 where the width does not divide its height. */
export function stacked(heightMm: number, widthMm: number): number {
  const times = Math.round(heightMm / widthMm);
  return times >= 1 && Math.abs(times * widthMm - heightMm) <= SLACK ? times : 0;
}

/** More patterns than this are not enumerated; an answer found without the rest is not called proven. Chosen: the solver answers such a program in seconds. */
const MOST_PATTERNS = 4000;

/**
 * Every way of filling a width exactly, for every row height that the block sizes give.
 *
 * @param sizesMm block sizes, any order
 */
export function patternsOf(
  widthMm: number,
  sizesMm: readonly number[],
): { patterns: Pattern[]; complete: boolean } {
  const patterns: Pattern[] = [];
  let complete = true;
  for (const heightMm of sizesMm) {
    const parts = sizesMm
      .map((size, index) => ({ size, index, times: stacked(heightMm, size) }))
      .filter(({ times }) => times > 0)
      .sort((a, b) => b.size - a.size);
    const columns = new Array<number>(sizesMm.length).fill(0);
    const ofHeight: Pattern[] = [];
    const fill = (i: number, leftMm: number): void => {
      if (Math.abs(leftMm) <= SLACK) {
        const blocks = columns.map((count, index) => count * stacked(heightMm, sizesMm[index]!));
        ofHeight.push({ heightMm, columns: [...columns], blocks });
        return;
      }
      if (i >= parts.length) return;
      if (ofHeight.length >= MOST_PATTERNS) {
        complete = false;
        return;
      }
      const { size, index } = parts[i]!;
      for (let count = Math.floor((leftMm + SLACK) / size); count >= 0; count--) {
        columns[index] = count;
        fill(i + 1, leftMm - count * size);
      }
      columns[index] = 0;
    };
    fill(0, widthMm);
    patterns.push(...ofHeight);
  }
  return { patterns, complete };
}
