import cdf from '@stdlib/stats-base-dists-normal-cdf';
import { atMost, clamp, below as isBelow } from '../quantity/compare';

/** How the uncertainty is dealt with at a limit (site setting; guarded unless the site says otherwise). */
export type AcceptanceRule = 'simple' | 'guarded' | 'guarded-reject';

export type FitVerdict = 'inside' | 'marginal' | 'below' | 'above';

/** What was measured, as far as a fit needs it (mm). */
export interface Measured {
  minMm: number;
  maxMm: number;
  meanMm: number;
  standardUncertaintyMm: number;
}

/** Where a measured thing lies to a range. */
export interface FitVerdictOf {
  verdict: FitVerdict;
  /** min − lo. */
  marginLowMm: number;
  /** hi − max. */
  marginHighMm: number;
  /** False when the range is narrower than 2U: this instrument cannot decide it. */
  decidable: boolean;
}

export interface Fit extends FitVerdictOf {
  /** 0 at the lower limit, 1 at the upper. */
  position: number;
  /** Probability of conformity, 0 to 1. */
  probability: number;
}

/**
 * Holds the smallest reading against the lower limit and the largest against the upper one.
 *
 * @param range certified range [lo, hi], mm, lo < hi
 * @see JCGM 106:2012; ISO 14253-1; ILAC-G8
 */
export function fit(range: readonly [number, number], measured: Measured, rule: AcceptanceRule): Fit {
  const [lo, hi] = range;
  return {
    ...fitVerdict(range, measured, rule),
    position: (measured.meanMm - lo) / (hi - lo),
    probability: conformity(range, measured),
  };
}

/** The verdict of a fit alone, without the probability, which costs more than all the rest. */
export function fitVerdict(
  range: readonly [number, number],
  { minMm, maxMm, standardUncertaintyMm }: Measured,
  rule: AcceptanceRule,
): FitVerdictOf {
  const [lo, hi] = range;
  const expanded = 2 * standardUncertaintyMm;
  return {
    verdict: verdictOf(range, minMm, maxMm, expanded, rule),
    marginLowMm: minMm - lo,
    marginHighMm: hi - maxMm,
    decidable: atMost(2 * expanded, hi - lo),
  };
}

function verdictOf(
  [lo, hi]: readonly [number, number],
  min: number,
  max: number,
  expanded: number,
  rule: AcceptanceRule,
): FitVerdict {
  const benefit = rule === 'guarded-reject' ? expanded : 0;
  const tooSmall = isBelow(min, lo - benefit);
  const tooLarge = isBelow(hi + benefit, max);
  if (tooSmall && tooLarge) return atMost(lo - min, max - hi) ? 'above' : 'below';
  if (tooSmall) return 'below';
  if (tooLarge) return 'above';
  const guard = rule === 'guarded' ? expanded : 0;
  return atMost(lo + guard, min) && atMost(max, hi - guard) ? 'inside' : 'marginal';
}

/** Probability that the whole of the measured thing lies in the range, 0 to 1; u = 0 leaves certainty. */
export function conformity(
  [lo, hi]: readonly [number, number],
  { minMm, maxMm, standardUncertaintyMm: u }: Measured,
): number {
  if (u === 0) return atMost(lo, minMm) && atMost(maxMm, hi) ? 1 : 0;
  return clamp(cdf((hi - maxMm) / u, 0, 1) - cdf((lo - minMm) / u, 0, 1), 0, 1);
}
