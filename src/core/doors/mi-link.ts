import { linkLengths } from '../mineral/link';

export interface MiLinkInput {
  straights_mm: number[];
  bends: { angle_deg: number; radius_mm: number }[];
  entry_1_mm: number;
  entry_2_mm: number;
  tail_1_mm: number;
  tail_2_mm: number;
  trim_mm: number;
}

export interface MiLinkOutput {
  path_mm: number;
  sheath_mm: number;
  cut_mm: number;
  second_strip_mark_mm: number;
}

/** Door `mi-link`: length of a mineral-insulated cable between two accessories. */
export function miLink({
  straights_mm,
  bends,
  entry_1_mm,
  entry_2_mm,
  tail_1_mm,
  tail_2_mm,
  trim_mm,
}: MiLinkInput): MiLinkOutput {
  const { pathMm, sheathMm, cutMm, secondStripMm } = linkLengths({
    straightsMm: straights_mm,
    bends: bends.map(({ angle_deg, radius_mm }) => ({ angleDeg: angle_deg, radiusMm: radius_mm })),
    entryMm: [entry_1_mm, entry_2_mm],
    tailMm: [tail_1_mm, tail_2_mm],
    trimMm: trim_mm,
  });
  return { path_mm: pathMm, sheath_mm: sheathMm, cut_mm: cutMm, second_strip_mark_mm: secondStripMm };
}
