import { atMost, ceilSlack, floorSlack } from '../quantity/compare';

export type SealantOpening =
  { shape: 'round'; diameterMm: number } | { shape: 'rect'; widthMm: number; heightMm: number };

/** A sleeve of the system, mm. */
export interface Sleeve {
  outerMm: number;
  innerMm: number;
  lengthMm: number;
}

/** An opening that is packed with sleeves and closed with sealant. */
export interface SealantJob {
  opening: SealantOpening;
  cablesMm: readonly number[];
  /** Depth of the sealant, which is the recess that the sleeves leave, mm. */
  depthMm: number;
  sides: 1 | 2;
  wallDepthMm: number;
  wastePct: number;
  cartridgeMl: number;
  sleeve: Sleeve;
  maxFillPct: number;
}

export interface SealantNeed {
  /** Cables and their wraps fit the opening. */
  fits: boolean;
  freeAreaMm2: number;
  fillPct: number;
  fillConforms: boolean;
  /** All sides, waste included. */
  sealantMl: number;
  cartridges: number;
  wrapSleevesPerSide: number;
  fillerSleevesPerSide: number;
  /** The wall is deep enough for sleeves and recess on every side. */
  depthConforms: boolean;
  /** Length that the sleeves are cut to, where the wall is not deep enough; null where it is. */
  cutSleevesToMm: number | null;
}

/** Share of the free area that filler sleeves can fill: round sleeves leave gaps. Chosen: round sleeves laid side by side. */
const FILLER_SHARE = 0.8;

const circleMm2 = (diameterMm: number): number => (Math.PI * diameterMm * diameterMm) / 4;

/** Area of an opening, mm². */
export const openingMm2 = (opening: SealantOpening): number =>
  opening.shape === 'round' ? circleMm2(opening.diameterMm) : opening.widthMm * opening.heightMm;

/** Summed area of round cables, mm². */
export const cablesMm2 = (cablesMm: readonly number[]): number =>
  cablesMm.reduce((sum, d) => sum + circleMm2(d), 0);

/** Split sleeves that wrap a cable on one side: one where it goes in, else several side by side. */
export const wrapsOf = (cableMm: number, { outerMm, innerMm }: Sleeve): number =>
  atMost(cableMm, innerMm) ? 1 : ceilSlack((2 * cableMm + outerMm - innerMm) / (outerMm + innerMm));

/** What closing an opening by sleeves and sealant takes. Cables larger than the opening give a negative free area. */
export function sealantNeed(job: SealantJob): SealantNeed {
  const { opening, cablesMm, depthMm, sides, wallDepthMm, wastePct, cartridgeMl, sleeve, maxFillPct } = job;
  const area = openingMm2(opening);
  const cables = cablesMm2(cablesMm);
  const freeAreaMm2 = area - cables;
  const fillPct = (100 * cables) / area;
  const sealantMl = ((freeAreaMm2 * depthMm) / 1000) * sides * (1 + wastePct / 100);
  const wraps = cablesMm.reduce((sum, d) => sum + wrapsOf(d, sleeve), 0);
  const wrapsMm2 = wraps * (circleMm2(sleeve.outerMm) - circleMm2(sleeve.innerMm));
  const fillers = floorSlack((FILLER_SHARE * (freeAreaMm2 - wrapsMm2)) / circleMm2(sleeve.outerMm));
  const depthConforms = atMost(sides * (sleeve.lengthMm + depthMm), wallDepthMm);
  return {
    fits: atMost(cables + wrapsMm2, area),
    freeAreaMm2,
    fillPct,
    fillConforms: atMost(fillPct, maxFillPct),
    sealantMl,
    cartridges: ceilSlack(sealantMl / cartridgeMl),
    wrapSleevesPerSide: wraps,
    fillerSleevesPerSide: Math.max(0, fillers),
    depthConforms,
    cutSleevesToMm: depthConforms ? null : Math.max(0, wallDepthMm / sides - depthMm),
  };
}
