import { atMost, below } from '../quantity/compare';

/** A reading of the vessel's overpressure. */
export interface BreathingPoint {
  tS: number;
  pKpa: number;
}

export interface Breathing {
  /** Time from 0.30 to 0.15 kPa, s; null when it cannot be found in the record. */
  halfTimeS: number | null;
  verdict: 'conforms' | 'fails' | 'invalid';
}

/** Pressures between which the fall is timed, kPa, and the least time it may take, s. */
export const START_KPA = 0.3;
export const END_KPA = 0.15;
export const LEAST_S = 5;
/** A rise between readings, kPa, or a drift of the vessel, K, above which the test says nothing. */
const RISE_KPA = 0.003;
const DRIFT_K = 0.02;

/**
 * Breathing test of a cable: 0.5 m in the wall of a vessel of 5 l.
 *
 * @param points at least two, time rising, pressure > 0
 * @param temperatureDriftK drift of the vessel during the test
 * @see IEC 60079-14:2013, Annex E
 */
export function breathingTest(points: readonly BreathingPoint[], temperatureDriftK: number): Breathing {
  const from = crossing(points, START_KPA);
  const to = crossing(points, END_KPA);
  const halfTimeS = from === null || to === null ? null : to - from;
  if (from === null || !atMost(Math.abs(temperatureDriftK), DRIFT_K) || rises(points)) {
    return { halfTimeS, verdict: 'invalid' };
  }
  if (halfTimeS !== null) return { halfTimeS, verdict: below(halfTimeS, LEAST_S) ? 'fails' : 'conforms' };
  const lasted = points[points.length - 1]!.tS - from;
  return { halfTimeS: null, verdict: below(lasted, LEAST_S) ? 'invalid' : 'conforms' };
}

const rises = (points: readonly BreathingPoint[]): boolean =>
  points.some(({ pKpa }, i) => i > 0 && !atMost(pKpa - points[i - 1]!.pKpa, RISE_KPA));

/** When the pressure first falls to a level, s, linear in ln p between the readings that bracket it. */
function crossing(points: readonly BreathingPoint[], levelKpa: number): number | null {
  if (below(points[0]!.pKpa, levelKpa)) return null;
  for (let i = 1; i < points.length; i++) {
    const a = points[i - 1]!;
    const b = points[i]!;
    if (!atMost(b.pKpa, levelKpa)) continue;
    if (a.pKpa <= b.pKpa) return a.tS;
    const share = (Math.log(a.pKpa) - Math.log(levelKpa)) / (Math.log(a.pKpa) - Math.log(b.pKpa));
    return a.tS + Math.min(1, Math.max(0, share)) * (b.tS - a.tS);
  }
  return null;
}
