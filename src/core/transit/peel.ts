import { atMost, SLACK } from '../quantity/compare';

/** A pair of block halves as the sheet describes it; lengths mm. */
export interface PeelBlock {
  /** Bore with the core out and nothing peeled. */
  boreMm: number;
  /** Diameter gained per layer taken from one half. */
  layerMm: number;
  layersPerHalf: number;
  /** Layers that must stay in each half. */
  keepLayers: number;
}

/** A cable as it was measured, mm, with the expanded uncertainty of its readings. */
export interface MeasuredCable {
  minMm: number;
  maxMm: number;
  meanMm: number;
  expandedUncertaintyMm: number;
}

/** How many layers come out of each half, and the gap that they leave. */
export interface Peeling {
  layers: readonly [number, number];
  boreMm: number;
  /** Gap for the mean, and with uncertainty for the smallest and the largest reading. */
  gapMm: number;
  gapMinMm: number;
  gapMaxMm: number;
}

/** The layers a half can give, 0 or more; −1 where more must stay than there are. */
export const peelable = ({ layersPerHalf, keepLayers }: PeelBlock): number =>
  Math.max(layersPerHalf - keepLayers, -1);

/** What some layers leave of a cable: bore and gaps, mm. */
export function peelingOf(
  block: PeelBlock,
  cable: MeasuredCable,
  layers: readonly [number, number],
): Peeling {
  const boreMm = block.boreMm + (layers[0] + layers[1]) * block.layerMm;
  const { minMm, maxMm, meanMm, expandedUncertaintyMm: u } = cable;
  return {
    layers,
    boreMm,
    gapMm: meanMm - boreMm,
    gapMinMm: minMm - u - boreMm,
    gapMaxMm: maxMm + u - boreMm,
  };
}

/** Whether a peeling keeps both the smallest and the largest reading within the sheet's gap. */
export const withinGap = ({ gapMinMm, gapMaxMm }: Peeling, [low, high]: readonly [number, number]): boolean =>
  atMost(low, gapMinMm) && atMost(gapMaxMm, high);

/**
 * Layers to peel from a pair of halves for a cable, the gap nearest to the middle of the sheet's window; fewer
 * layers on a tie. Null where no number fits.
 *
 * @param gapMm the sheet's window for the visible gap, [least, most]
 * @param maxDifference how many layers the halves may differ by
 */
export function peel(
  block: PeelBlock,
  gapMm: readonly [number, number],
  cable: MeasuredCable,
  maxDifference: number,
): Peeling | null {
  const most = peelable(block);
  const middle = (gapMm[0] + gapMm[1]) / 2;
  let best: Peeling | null = null;
  for (let m = 0; m <= 2 * most; m++) {
    if (m % 2 > maxDifference) continue;
    const found = peelingOf(block, cable, [Math.ceil(m / 2), Math.floor(m / 2)]);
    if (!withinGap(found, gapMm)) continue;
    if (!best || Math.abs(found.gapMm - middle) < Math.abs(best.gapMm - middle) - SLACK) best = found;
  }
  return best;
}
