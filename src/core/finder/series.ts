import type { AssemblySheet, Range } from '../record/types';

/** One range of one size, on the scale of its part. */
export interface SeriesRange {
  size: string;
  rangeMm: Range;
}

/** Ranges of one part over a whole series: what they cover twice, and what they leave open. */
export interface SeriesPart {
  /** Measured place that falls on this scale. */
  place: 'outer-sheath' | 'inner-sheath' | 'armour' | 'over-cores';
  /** What the ranges are of. */
  is: 'outer-seal' | 'inner-seal' | 'clamp' | 'over-cores' | 'blocks';
  /** Armour that the ranges are for; null for seals and pots. */
  armour: string | null;
  /** Face of the ring that they are for; null where both faces are alike, or there is no ring. */
  face: string | null;
  ranges: SeriesRange[];
  /** Stretches that two sizes both take, mm. */
  overlaps: { sizes: [string, string]; rangeMm: Range }[];
  /** Stretches between the smallest and the largest that no size takes, mm. */
  holes: Range[];
}

/** Every part of a sheet's sizes on a scale of its own. Lengths mm. */
export function seriesOf({ sizes, transit }: AssemblySheet): SeriesPart[] {
  const parts: SeriesPart[] = [];
  const add = (
    place: SeriesPart['place'],
    is: SeriesPart['is'],
    ranges: SeriesRange[],
    { armour, face }: Pick<SeriesPart, 'armour' | 'face'> = { armour: null, face: null },
  ) => {
    if (ranges.length > 0) parts.push({ place, is, armour, face, ranges, ...coverage(ranges) });
  };
  const outer = sizes.flatMap(({ size, outer: { rangeMm } }) => (rangeMm ? { size, rangeMm } : []));
  add('outer-sheath', 'outer-seal', outer);
  const inner = sizes.flatMap(({ size, inner: seal }) =>
    seal?.rangeMm ? { size, rangeMm: seal.rangeMm } : [],
  );
  add('inner-sheath', 'inner-seal', inner);
  const faces = new Map<string, { armour: string; face: string | null; ranges: SeriesRange[] }>();
  for (const { size, clamp } of sizes) {
    for (const { armour, face, rangeMm } of clamp) {
      const key = `${armour} ${face}`;
      const known = faces.get(key) ?? { armour, face: face === 'both' ? null : face, ranges: [] };
      known.ranges.push({ size, rangeMm });
      faces.set(key, known);
    }
  }
  for (const of of faces.values()) add('armour', 'clamp', of.ranges, of);
  const pots = sizes.flatMap(({ size, pot }) => (pot ? { size, rangeMm: pot.overCoresMm } : []));
  add('over-cores', 'over-cores', pots);
  const blocks = (transit?.blocks ?? []).map(({ sizeMm, rangeMm }) => ({ size: `${sizeMm} mm`, rangeMm }));
  add('outer-sheath', 'blocks', blocks);
  return parts;
}

/** Overlaps of neighbouring ranges, and the stretches that none of them covers. */
export function coverage(ranges: readonly SeriesRange[]): Pick<SeriesPart, 'overlaps' | 'holes'> {
  const sorted = [...ranges].sort((a, b) => a.rangeMm[0] - b.rangeMm[0] || a.rangeMm[1] - b.rangeMm[1]);
  const overlaps: SeriesPart['overlaps'] = [];
  const holes: Range[] = [];
  let covered = -Infinity;
  sorted.forEach(({ size, rangeMm: [low, high] }, i) => {
    if (i > 0 && low > covered) holes.push([covered, low]);
    for (const earlier of sorted.slice(0, i)) {
      const end = Math.min(high, earlier.rangeMm[1]);
      if (end > low) overlaps.push({ sizes: [earlier.size, size], rangeMm: [low, end] });
    }
    covered = Math.max(covered, high);
  });
  return { overlaps, holes };
}
