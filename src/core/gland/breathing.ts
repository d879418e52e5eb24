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

/** Pressures between which the fall is timed, kPa, and the least time it may take, s. Source: IEC 60079-14:2013, Annex E. */
export const START_KPA = 0.3;
export const END_KPA = 0.15;
const LEAST_S = 5;
/** A rise between readings, kPa, or a drift of the vessel, K, above which the test says nothing. Chosen: what a sound vessel and gauge stay within during the test. */
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

/** A straight line through ln p, for comparison only: the verdict never rests on it. */
export interface BreathingFit {
  /** ln p = a − t/τ; time constant, s. */
  tauS: number;
  /** Pressure that the line has at t = 0, kPa. */
  startKpa: number;
  /** Half time of the line, s. */
  halfTimeS: number;
  points: number;
}

/** Least-squares fit of ln p over the readings between 0.15 and 0.30 kPa; null with fewer than two, or no fall. */
export function breathingFit(points: readonly BreathingPoint[]): BreathingFit | null {
  const inside = points.filter(({ pKpa }) => atMost(END_KPA, pKpa) && atMost(pKpa, START_KPA));
  const n = inside.length;
  if (n < 2) return null;
  const meanT = inside.reduce((sum, { tS }) => sum + tS, 0) / n;
  const meanL = inside.reduce((sum, { pKpa }) => sum + Math.log(pKpa), 0) / n;
  const spread = inside.reduce((sum, { tS }) => sum + (tS - meanT) ** 2, 0);
  const common = inside.reduce((sum, { tS, pKpa }) => sum + (tS - meanT) * (Math.log(pKpa) - meanL), 0);
  const slope = common / spread;
  if (!(slope < 0)) return null;
  return {
    tauS: -1 / slope,
    startKpa: Math.exp(meanL - slope * meanT),
    halfTimeS: Math.LN2 / -slope,
    points: n,
  };
}
