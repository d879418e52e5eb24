import { CONDUCTORS, minimumArea, pathResistance, withstands, type Conductor } from '../earth/path';
import { atMost } from '../quantity/compare';
import { InputError } from '../quantity/error';

export interface EarthPathInput {
  material: Conductor;
  length_m: number;
  length_factor: number;
  area_mm2: number;
  temperature_c: number;
  fault_current_a: number;
  duration_s: number;
  k: number;
}

export interface EarthPathOutput {
  resistance_ohm: number;
  minimum_area_mm2: number;
  withstands: boolean;
}

/**
 * Door `earth-path`: an armour or sheath as earth conductor, its resistance and the fault it bears.
 *
 * @throws InputError on `k` when it lies outside what its material allows
 */
export function earthPath(input: EarthPathInput): EarthPathOutput {
  const [least, most] = CONDUCTORS[input.material].k;
  if (!atMost(least, input.k) || !atMost(input.k, most)) {
    throw new InputError('k', 'earth.k', { material: input.material, least, most });
  }
  const minimum = minimumArea(input.fault_current_a, input.duration_s, input.k);
  return {
    resistance_ohm: pathResistance(
      input.material,
      input.length_m,
      input.length_factor,
      input.area_mm2,
      input.temperature_c,
    ),
    minimum_area_mm2: minimum,
    withstands: withstands(input.area_mm2, minimum),
  };
}
