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

export interface Fit {
  verdict: FitVerdict;
  /** min − lo. */
  marginLowMm: number;
  /** hi − max. */
  marginHighMm: number;
  /** 0 at the lower limit, 1 at the upper. */
  position: number;
  /** Probability of conformity, 0 to 1. */
  probability: number;
  /** False when the range is narrower than 2U: this instrument cannot decide it. */
  decidable: boolean;
}

/**
 * Holds the smallest reading against the lower limit and the largest against the upper one.
 *
 * @param range certified range [lo, hi], mm, lo < hi
 * @see JCGM 106:2012; ISO 14253-1; ILAC-G8
 */
export function fit(range: readonly [number, number], measured: Measured, rule: AcceptanceRule): Fit {
  const [lo, hi] = range;
  const { minMm, maxMm, meanMm, standardUncertaintyMm: u } = measured;
  const expanded = 2 * u;
  return {
    verdict: verdictOf(range, minMm, maxMm, expanded, rule),
    marginLowMm: minMm - lo,
    marginHighMm: hi - maxMm,
    position: (meanMm - lo) / (hi - lo),
    probability: conformity(range, minMm, maxMm, u),
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

function conformity([lo, hi]: readonly [number, number], min: number, max: number, u: number): number {
  if (u === 0) return atMost(lo, min) && atMost(max, hi) ? 1 : 0;
  return clamp(cdf((hi - max) / u, 0, 1) - cdf((lo - min) / u, 0, 1), 0, 1);
}
