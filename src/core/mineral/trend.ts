/** A straight line through points of ln R over time. */
export interface Trend {
  /** ln R at time 0, and its change per unit of time. */
  intercept: number;
  slope: number;
  /** Points that it was fitted through. */
  n: number;
  /** Standard deviation of the points round it; 0 for two points. */
  scatter: number;
  meanT: number;
  /** Summed squares of the times' distances from their mean. */
  sumT: number;
}

/** When a trend crosses a threshold. */
export interface Crossing {
  t: number;
  /** Expanded uncertainty (two standard deviations) of the time; null where two points leave none. */
  expanded: number | null;
}

/** One reading of a series, in any unit of time. */
export interface TimedReading {
  t: number;
  megohm: number;
}

/**
 * Least squares through ln R. Null for fewer than two readings, or readings all taken at one time.
 *
 * @param readings megohm > 0
 */
export function fitTrend(readings: readonly TimedReading[]): Trend | null {
  const n = readings.length;
  if (n < 2) return null;
  const meanT = readings.reduce((sum, { t }) => sum + t, 0) / n;
  const meanY = readings.reduce((sum, { megohm }) => sum + Math.log(megohm), 0) / n;
  let [sumT, sumTy] = [0, 0];
  for (const { t, megohm } of readings) {
    sumT += (t - meanT) ** 2;
    sumTy += (t - meanT) * (Math.log(megohm) - meanY);
  }
  if (sumT === 0) return null;
  const slope = sumTy / sumT;
  const intercept = meanY - slope * meanT;
  const squares = readings.reduce(
    (sum, { t, megohm }) => sum + (Math.log(megohm) - intercept - slope * t) ** 2,
    0,
  );
  return { intercept, slope, n, scatter: n > 2 ? Math.sqrt(squares / (n - 2)) : 0, meanT, sumT };
}

/** 97.5 % points of Student's t by degrees of freedom, 1 to 10; above, the normal one. Source: JCGM 100, table G.2. */
const STUDENT = [12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228];
/** JCGM 100, table G.1. */
const NORMAL = 1.96;

/** Whether a trend's slope differs from zero by more than its 95 % error; three points at least. */
export function isSignificant({ n, slope, scatter, sumT }: Trend): boolean {
  if (n < 3) return false;
  const error = (STUDENT[n - 3] ?? NORMAL) * (scatter / Math.sqrt(sumT));
  return Math.abs(slope) > error;
}

/** Readings of a drying-out that its trend is fitted through: the last five; a fall before them is usual. Chosen: the fewest that tell a trend from the meter’s noise. */
export const DRYING_READINGS = 5;

/**
 * When a trend reaches a resistance; null when it never does from here on.
 *
 * @param after time from which on a crossing counts
 */
export function crossingOf(trend: Trend, megohm: number, after: number): Crossing | null {
  const { intercept, slope, n, scatter, meanT, sumT } = trend;
  if (slope === 0) return null;
  const t = (Math.log(megohm) - intercept) / slope;
  if (t < after) return null;
  if (n < 3) return { t, expanded: null };
  // First-order propagation of the fit's scatter to the time at which it crosses.
  const sd = (scatter / Math.abs(slope)) * Math.sqrt(1 / n + (t - meanT) ** 2 / sumT);
  return { t, expanded: 2 * sd };
}

/** What a drying-out says so far. */
export type DryingState =
  | { is: 'too-few'; have: number }
  | { is: 'reached' }
  | { is: 'not-rising'; slope: number }
  | { is: 'rising'; slope: number; crossing: Crossing };

/**
 * The state of a drying-out: its readings over time, fitted through the last five.
 *
 * @param thresholdMegohm what has to be reached, MΩ
 */
export function dryingState(readings: readonly TimedReading[], thresholdMegohm: number): DryingState {
  const last = readings.slice(-DRYING_READINGS);
  const newest = last[last.length - 1];
  if (newest && newest.megohm >= thresholdMegohm) return { is: 'reached' };
  if (last.length < DRYING_READINGS) return { is: 'too-few', have: last.length };
  const trend = fitTrend(last);
  if (!trend || trend.slope <= 0) return { is: 'not-rising', slope: trend?.slope ?? 0 };
  const crossing = crossingOf(trend, thresholdMegohm, newest!.t);
  return { is: 'rising', slope: trend.slope, crossing: crossing ?? { t: newest!.t, expanded: null } };
}
