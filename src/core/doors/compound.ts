import { compoundFill, compoundTimes } from '../gland/compound';

export interface CompoundInput {
  pot_bore_mm: number;
  pot_depth_mm: number;
  cores: { count: number; diameter_mm: number }[];
  waste_pct: number;
  pack_ml: number;
  temperature_c: number;
  reference_temperature_c: number;
  q10: number;
  working_minutes: number;
  cure_hours: number;
  minimum_temperature_c: number;
  sheet_extrapolates: boolean;
}

export interface CompoundOutput {
  volume_ml: number;
  needed_ml: number;
  packs: number;
  free_pct: number;
  fill_conforms: boolean;
  working_minutes: number;
  cure_hours: number;
  may_mix: boolean;
}

/**
 * Door `compound`: how much compound a pot takes, and its times at a temperature.
 *
 * @throws InputError on `cores` when they fill the pot
 */
export function compound(input: CompoundInput): CompoundOutput {
  const fill = compoundFill(
    input.pot_bore_mm,
    input.pot_depth_mm,
    input.cores.map(({ count, diameter_mm }) => ({ count, diameterMm: diameter_mm })),
    input.waste_pct,
    input.pack_ml,
  );
  const times = compoundTimes(
    {
      referenceC: input.reference_temperature_c,
      q10: input.q10,
      workingMinutes: input.working_minutes,
      cureHours: input.cure_hours,
      minimumC: input.minimum_temperature_c,
      extrapolates: input.sheet_extrapolates,
    },
    input.temperature_c,
  );
  return {
    volume_ml: fill.volumeMl,
    needed_ml: fill.neededMl,
    packs: fill.packs,
    free_pct: fill.freePct,
    fill_conforms: fill.conforms,
    working_minutes: times.workingMinutes,
    cure_hours: times.cureHours,
    may_mix: times.mayMix,
  };
}
