import type { SeriesPart } from '../../finder/series';

const TITLES: Record<Exclude<SeriesPart['is'], 'clamp'>, string> = {
  'outer-seal': 'Outer seal',
  'inner-seal': 'Inner seal',
  'over-cores': 'Over the cores',
  blocks: 'Blocks',
};

/** What a scale of a series is of. */
export function seriesTitle({ is, armour, face }: Pick<SeriesPart, 'is' | 'armour' | 'face'>): string {
  if (is !== 'clamp') return TITLES[is];
  return face === null ? `Clamp, ${armour}` : `Clamp, ${armour}, ring ${face}`;
}
