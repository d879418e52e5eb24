import { fit as fitOf, type AcceptanceRule, type FitVerdict } from '../measuring/fit';
import { atMost, below } from '../quantity/compare';
import { InputError } from '../quantity/error';

export interface FitInput {
  range_mm: [number, number];
  min_mm: number;
  max_mm: number;
  mean_mm: number;
  standard_uncertainty_mm: number;
  rule: AcceptanceRule;
}

export interface FitOutput {
  verdict: FitVerdict;
  margin_low_mm: number;
  margin_high_mm: number;
  position: number;
  probability: number;
  decidable: boolean;
}

/**
 * Door `fit`: a measured thing against a range (mm).
 *
 * @throws InputError on `range_mm` (lo ≥ hi), `max_mm` (below min) or `mean_mm` (outside min … max)
 */
export function fit(input: FitInput): FitOutput {
  const { range_mm, min_mm, max_mm, mean_mm } = input;
  if (atMost(range_mm[1], range_mm[0])) {
    throw new InputError('range_mm', 'range.order');
  }
  if (below(max_mm, min_mm)) throw new InputError('max_mm', 'readings.order');
  if (below(mean_mm, min_mm) || below(max_mm, mean_mm)) {
    throw new InputError('mean_mm', 'readings.mean');
  }
  const result = fitOf(
    range_mm,
    {
      minMm: min_mm,
      maxMm: max_mm,
      meanMm: mean_mm,
      standardUncertaintyMm: input.standard_uncertainty_mm,
    },
    input.rule,
  );
  return {
    verdict: result.verdict,
    margin_low_mm: result.marginLowMm,
    margin_high_mm: result.marginHighMm,
    position: result.position,
    probability: result.probability,
    decidable: result.decidable,
  };
}
