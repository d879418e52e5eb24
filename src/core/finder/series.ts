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
  title: string;
  /** Armour that the ranges are for; null for seals and pots. */
  armour: string | null;
  ranges: SeriesRange[];
  /** Stretches that two sizes both take, mm. */
  overlaps: { sizes: [string, string]; rangeMm: Range }[];
  /** Stretches between the smallest and the largest that no size takes, mm. */
  holes: Range[];
}

const ARMOUR_TITLE = (armour: string, face: string) =>
  face === 'both' ? `Clamp, ${armour}` : `Clamp, ${armour}, ring ${face}`;

/** Every part of a sheet's sizes on a scale of its own. Lengths mm. */
export function seriesOf({ sizes, transit }: AssemblySheet): SeriesPart[] {
  const parts: SeriesPart[] = [];
  const add = (place: SeriesPart['place'], title: string, armour: string | null, ranges: SeriesRange[]) => {
    if (ranges.length > 0) parts.push({ place, title, armour, ranges, ...coverage(ranges) });
  };
  add(
    'outer-sheath',
    'Outer seal',
    null,
    sizes.flatMap(({ size, outer }) => (outer.rangeMm ? { size, rangeMm: outer.rangeMm } : [])),
  );
  add(
    'inner-sheath',
    'Inner seal',
    null,
    sizes.flatMap(({ size, inner }) => (inner?.rangeMm ? { size, rangeMm: inner.rangeMm } : [])),
  );
  const faces = new Map<string, { armour: string; ranges: SeriesRange[] }>();
  for (const { size, clamp } of sizes) {
    for (const { armour, face, rangeMm } of clamp) {
      const title = ARMOUR_TITLE(armour, face);
      const known = faces.get(title) ?? { armour, ranges: [] };
      known.ranges.push({ size, rangeMm });
      faces.set(title, known);
    }
  }
  for (const [title, { armour, ranges }] of faces) add('armour', title, armour, ranges);
  add(
    'over-cores',
    'Over the cores',
    null,
    sizes.flatMap(({ size, pot }) => (pot ? { size, rangeMm: pot.overCoresMm } : [])),
  );
  add(
    'outer-sheath',
    'Blocks',
    null,
    (transit?.blocks ?? []).map(({ sizeMm, rangeMm }) => ({ size: `${sizeMm} mm`, rangeMm })),
  );
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
