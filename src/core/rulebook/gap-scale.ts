import { backNut, type BackNut } from '../gland/back-nut';
import type { BackNutSheet } from '../record/types';
import { diameterOf, groupsOf, type Dossier } from './dossier';

/** The gap that a sound outer seal leaves under the back nut for the cable as measured; mm. */
export interface GapScale {
  cableMm: number;
  /** Expanded uncertainty of the cable's diameter. */
  cableUncertaintyMm: number;
  nut: BackNut;
  /** Half width of the band round the gap: the sheet's tolerance and the cable's uncertainty. */
  bandMm: number;
  lowMm: number;
  highMm: number;
}

/** Back-nut numbers of a sheet for one cable diameter, mm. @throws InputError where the sizes cannot be */
export function gapFor(sheet: BackNutSheet, cableMm: number): BackNut {
  const { housingBoreMm, freeBoreMm, freeOutsideMm, freeLengthMm, handOnGapMm, turns, pitchMm } = sheet;
  const ring = { housingBoreMm, freeBoreMm, freeOutsideMm, freeLengthMm };
  return backNut(ring, handOnGapMm, turns, pitchMm, cableMm);
}

/** The scale at the outer sheath as measured; null where the sheet is silent or nothing counts yet. */
export function gapScale(dossier: Dossier): GapScale | null {
  const sheet = dossier.size?.backNut;
  if (!sheet) return null;
  let best = null;
  for (const group of groupsOf(dossier, 'outer-sheath')) {
    if (!group.fault && (!best || group.readings.length > best.readings.length)) best = group;
  }
  if (!best) return null;
  const { meanMm, expandedUncertaintyMm } = diameterOf(dossier, best, dossier.cable?.coldFlow ?? false);
  try {
    const nut = gapFor(sheet, meanMm);
    const fromCable = nut.gapPerMmCable * expandedUncertaintyMm;
    const bandMm = Math.sqrt(sheet.toleranceMm * sheet.toleranceMm + fromCable * fromCable);
    return {
      cableMm: meanMm,
      cableUncertaintyMm: expandedUncertaintyMm,
      nut,
      bandMm,
      lowMm: nut.gapMm - bandMm,
      highMm: nut.gapMm + bandMm,
    };
  } catch {
    // A cable that does not go through the seal has no place on the scale; its fit says so.
    return null;
  }
}
