import { diameter as diameterOf, type DiameterMethod } from '../measuring/diameter';
import { InputError } from '../quantity/error';

export interface DiameterInput {
  method: DiameterMethod;
  readings_mm: number[];
  tape: { thickness_mm: number; ovality_allowance_pct: number } | null;
  instrument: {
    expanded_uncertainty_mm: number;
    coverage_factor: number;
    resolution_mm: number;
    repeatability_mm: number | null;
  };
}

export interface DiameterOutput {
  n: number;
  mean_mm: number;
  min_mm: number;
  max_mm: number;
  ovality_pct: number | null;
  standard_uncertainty_mm: number;
  expanded_uncertainty_mm: number;
  decisive: boolean;
}

/**
 * Door `diameter`: readings of one place to a diameter with its uncertainty (mm).
 *
 * @throws InputError on `tape` when it is missing for a tape or given for a caliper; on a reading that leaves no diameter
 */
export function diameter(input: DiameterInput): DiameterOutput {
  const { method, readings_mm, tape, instrument } = input;
  if (method === 'tape' && tape === null) {
    throw new InputError('tape', 'tape.figures');
  }
  if (method === 'caliper' && tape !== null) {
    throw new InputError('tape', 'tape.caliper');
  }
  const result = diameterOf(
    method,
    readings_mm,
    {
      expandedUncertaintyMm: instrument.expanded_uncertainty_mm,
      coverageFactor: instrument.coverage_factor,
      resolutionMm: instrument.resolution_mm,
      repeatabilityMm: instrument.repeatability_mm,
    },
    tape && { thicknessMm: tape.thickness_mm, ovalityAllowancePct: tape.ovality_allowance_pct },
  );
  return {
    n: result.n,
    mean_mm: result.meanMm,
    min_mm: result.minMm,
    max_mm: result.maxMm,
    ovality_pct: result.ovalityPct,
    standard_uncertainty_mm: result.standardUncertaintyMm,
    expanded_uncertainty_mm: result.expandedUncertaintyMm,
    decisive: result.decisive,
  };
}
