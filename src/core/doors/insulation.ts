import {
  insulationAction,
  judgeInsulation,
  type InsulationAction,
  type InsulationStage,
  type InsulationVerdict,
} from '../mineral/insulation';

export interface InsulationInput {
  stage: InsulationStage;
  threshold_megohm: number;
  length_m: number;
  window_min: number;
  tests: {
    pair: string;
    megohm: number;
    saturated: boolean;
    temperature_c: number;
    far_end_sealed: boolean;
    age_min: number;
  }[];
}

export interface InsulationOutput {
  tests: {
    pair: string;
    megohm_20c: number;
    judged_megohm: number;
    megohm_km: number;
    verdict: InsulationVerdict;
  }[];
  action: InsulationAction;
}

/** Door `insulation`: insulation resistance of every pair, and what to do. */
export function insulation({
  stage,
  threshold_megohm,
  length_m,
  window_min,
  tests,
}: InsulationInput): InsulationOutput {
  const judged = tests.map(({ pair, megohm, saturated, temperature_c, far_end_sealed, age_min }) =>
    judgeInsulation(
      { pair, megohm, saturated, temperatureC: temperature_c, farEndSealed: far_end_sealed, ageMin: age_min },
      threshold_megohm,
      length_m,
    ),
  );
  const oldest = Math.max(...tests.map(({ age_min }) => age_min));
  return {
    tests: judged.map(({ pair, megohm20, judgedMegohm, megohmKm, verdict }) => ({
      pair,
      megohm_20c: megohm20,
      judged_megohm: judgedMegohm,
      megohm_km: megohmKm!,
      verdict,
    })),
    action: insulationAction(
      stage,
      judged.map(({ verdict }) => verdict),
      oldest,
      window_min,
    ),
  };
}
