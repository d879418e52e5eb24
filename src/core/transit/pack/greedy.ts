import { mostRows, roomOf, type Model } from './model';
import type { Pattern } from './patterns';
import type { Counts } from './place';

/**
 * A complete packing at once, not the best: every cable in its smallest block, row by row the pattern that
 * houses most per height, then spare rows until the compression unit fits. Null where that way finds none.
 */
export function greedy(model: Model): Counts | null {
  const { job, sizesMm, types, widths, widthOf, locked } = model;
  const taken = types.map(({ sizes, cables }) => sizesMm.map((_, j) => (j === sizes[0] ? cables.length : 0)));
  const left = sizesMm.map((_, j) => taken.reduce((sum, of) => sum + of[j]!, 0) - locked.free[j]!);
  const rows: Pattern[][] = job.openings.map(() => []);
  const room = job.openings.map((_, o) => roomOf(model, o)[1]);
  while (left.some((n) => n > 0)) {
    let best: { pattern: Pattern; o: number; worth: number } | null = null;
    for (const [o, { plateMm }] of job.openings.entries()) {
      for (const pattern of widths[widthOf[o]!]!.patterns) {
        if (pattern.heightMm + plateMm > room[o]! + 1e-9) continue;
        let housed = 0;
        pattern.blocks.forEach((n, j) => (housed += Math.min(n, Math.max(0, left[j]!)) * sizesMm[j]! ** 2));
        const worth = housed / (pattern.heightMm + plateMm);
        if (worth > 0 && (!best || worth > best.worth + 1e-9)) best = { pattern, o, worth };
      }
      // A further opening is begun only when nothing goes into this one any more.
      if (best) break;
    }
    if (!best) return null;
    const { pattern, o } = best;
    rows[o]!.push(pattern);
    room[o]! -= pattern.heightMm + job.openings[o]!.plateMm;
    pattern.blocks.forEach((n, j) => (left[j]! -= n));
  }
  const spare: number[][] = [];
  for (const [o, { plateMm }] of job.openings.entries()) {
    const least = roomOf(model, o)[0] - (roomOf(model, o)[1] - room[o]!);
    const { patterns } = widths[widthOf[o]!]!;
    const heights = sizesMm.filter((size) => patterns.some(({ heightMm }) => heightMm === size)).reverse();
    const found = fillUp(heights, plateMm, least, room[o]!);
    if (!found) return null;
    spare.push(found);
  }
  return { rows, spare, taken };
}

/** Row heights whose sum with plates lies between two limits, larger rows first; null where none does. */
export function fillUp(
  heights: readonly number[],
  plateMm: number,
  leastMm: number,
  mostMm: number,
): number[] | null {
  const dead = new Set<string>();
  const walk = (i: number, least: number, most: number): number[] | null => {
    if (most < -1e-9) return null;
    if (least <= 1e-9) return [];
    if (i >= heights.length) return null;
    const key = `${i} ${Math.round(most * 1e6)}`;
    if (dead.has(key)) return null;
    const row = heights[i]! + plateMm;
    for (let count = mostRows(most, row); count >= 0; count--) {
      const rest = walk(i + 1, least - count * row, most - count * row);
      if (rest) return [...new Array<number>(count).fill(heights[i]!), ...rest];
    }
    dead.add(key);
    return null;
  };
  return walk(0, leastMm, mostMm);
}
