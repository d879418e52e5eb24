import { breathingTest, type Breathing } from '../gland/breathing';
import { InputError } from '../quantity/error';

export interface BreathingInput {
  points: { t_s: number; p_kpa: number }[];
  temperature_drift_k: number;
}

export interface BreathingOutput {
  half_time_s: number | null;
  verdict: Breathing['verdict'];
}

/**
 * Door `breathing`: the breathing test of a cable.
 *
 * @throws InputError on the first point whose time does not rise
 */
export function breathing({ points, temperature_drift_k }: BreathingInput): BreathingOutput {
  points.forEach(({ t_s }, i) => {
    if (i > 0 && t_s <= points[i - 1]!.t_s) {
      throw new InputError(`points.${i}.t_s`, 'reading.later');
    }
  });
  const { halfTimeS, verdict } = breathingTest(
    points.map(({ t_s, p_kpa }) => ({ tS: t_s, pKpa: p_kpa })),
    temperature_drift_k,
  );
  return { half_time_s: halfTimeS, verdict };
}
