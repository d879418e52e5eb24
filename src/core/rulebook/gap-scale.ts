import { isSoft } from '../measuring/soft';
import { backNut, type BackNut } from '../gland/back-nut';
import type { BackNutSheet } from '../record/types';
import type { Diameter } from '../measuring/diameter';
import { InputError } from '../quantity/error';
import { diameterOf, groupsOf, type Context, type Dossier } from './dossier';
import { countedGroups } from './readings';

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

/** The scale of a sheet at one diameter; null where the cable has no place on it. */
function scaleAt(sheet: BackNutSheet, { meanMm, expandedUncertaintyMm }: Diameter): GapScale | null {
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

/** Diameters of the outer sheath that count; null where they contradict each other. */
function diameters(dossier: Dossier | Context): Diameter[] | null {
  const soft = isSoft(dossier.cable);
  const groups = groupsOf(dossier, 'outer-sheath');
  const kept = countedGroups(groups, (group) => {
    const { minMm, maxMm, expandedUncertaintyMm: u, decisive } = diameterOf(dossier, group, soft);
    return { low: minMm - u, high: maxMm + u, decisive: decisive && !group.fault };
  });
  return kept && kept.filter(({ fault }) => !fault).map((group) => diameterOf(dossier, group, soft));
}

/** What the sheet's rubber says for the sheath as measured, by each of its diameters. */
export type GapScales =
  | { is: 'unmeasured' }
  | { is: 'disagree' }
  | { is: 'impossible'; cableMm: number; why: string }
  | { is: 'scales'; scales: GapScale[] };

/** The scales of an entry whose sheet has one; a cable for which there is none says why. */
export function gapScales(dossier: Dossier | Context): GapScales {
  const sheet = dossier.size?.backNut;
  const found = diameters(dossier);
  if (!found) return { is: 'disagree' };
  if (!sheet || found.length === 0) return { is: 'unmeasured' };
  const scales: GapScale[] = [];
  for (const diameter of found) {
    const scale = scaleAt(sheet, diameter);
    if (scale) scales.push(scale);
    else return { is: 'impossible', cableMm: diameter.meanMm, why: whyNot(sheet, diameter.meanMm) };
  }
  return { is: 'scales', scales };
}

function whyNot(sheet: BackNutSheet, cableMm: number): string {
  try {
    gapFor(sheet, cableMm);
    return '';
  } catch (error) {
    if (error instanceof InputError) return error.key;
    throw error;
  }
}

/** The first scale of an entry, for its strip and its drawing; null where there is none. */
export function gapScale(dossier: Dossier): GapScale | null {
  const found = gapScales(dossier);
  return found.is === 'scales' ? found.scales[0]! : null;
}
