import type { Cable, InsulationTest, Mineral, PairReading } from '../record/types';
import {
  fellTooFar,
  insulationAction,
  isOutside,
  missingPairs,
  judgeInsulation,
  pairsOf,
  type InsulationAction,
  type InsulationStage,
  type JudgedInsulation,
} from '../mineral/insulation';
import {
  crossingOf,
  fitTrend,
  isSignificant,
  type Crossing,
  type TimedReading,
  type Trend,
} from '../mineral/trend';

/** Least resistance that counts at a stage, MΩ: that of a new end until it is in service. */
export const thresholdAt = (mineral: Mineral, stage: InsulationStage): number =>
  stage === 'in-service' ? mineral.serviceMegohm : mineral.newMegohm;

/** The newest reading of each pair of a test. */
export function newestByPair(readings: readonly PairReading[]): Map<string, PairReading> {
  const newest = new Map<string, PairReading>();
  for (const reading of readings) {
    const before = newest.get(reading.pair);
    if (!before || before.at <= reading.at) newest.set(reading.pair, reading);
  }
  return newest;
}

/** A test as it stands. */
export interface TestState {
  pairs: string[];
  judged: ReadonlyMap<string, JudgedInsulation>;
  /** Pairs that are not read yet. */
  missing: string[];
  /** Null until every pair is read. */
  action: InsulationAction | null;
  thresholdMegohm: number;
  oldestMin: number;
}

/** A minute in milliseconds. */
const MINUTE_MS = 60_000;

/**
 * Judges a test pair by pair, and says what to do once every pair is read.
 *
 * @param nowMs ms since 1970: readings grow old
 */
export function stateOfTest(cable: Cable, test: InsulationTest, nowMs: number): TestState {
  const mineral = cable.mineral!;
  const pairs = pairsOf(mineral.conductors, mineral.screened);
  const newest = newestByPair(test.readings);
  const thresholdMegohm = thresholdAt(mineral, test.stage);
  const judged = new Map<string, JudgedInsulation>();
  let oldestMin = 0;
  for (const [pair, { megohm, saturated, at }] of newest) {
    const ageMin = Math.max(0, (nowMs - Date.parse(at)) / MINUTE_MS);
    oldestMin = Math.max(oldestMin, ageMin);
    const { temperatureC, farEndSealed } = test;
    judged.set(pair, judgeInsulation({ pair, megohm, saturated, temperatureC, farEndSealed, ageMin }, thresholdMegohm, cable.lengthM)); // prettier-ignore
  }
  const missing = missingPairs(mineral.conductors, mineral.screened, judged);
  const verdicts = [...judged.values()].map(({ verdict }) => verdict);
  const action =
    missing.length > 0 ? null : insulationAction(test.stage, verdicts, oldestMin, mineral.windowMin);
  return { pairs, judged, missing, action, thresholdMegohm, oldestMin };
}

/** A pair whose insulation fell too far between two tests. */
export interface Fall {
  pair: string;
  beforeMegohm: number;
  afterMegohm: number;
}

const whenRead = new WeakMap<InsulationTest, { cable: Cable; state: TestState }>();

/** A test as it stood when it was read: age counts for nothing. Several checks ask for the same. */
export function stateWhenRead(cable: Cable, test: InsulationTest): TestState {
  const known = whenRead.get(test);
  if (known?.cable === cable) return known.state;
  const state = stateOfTest(cable, test, 0);
  whenRead.set(test, { cable, state });
  return state;
}

/** Pairs that fell by more than the cable's factor between two tests, both normalised to 20 °C. */
export function fallsBetween(cable: Cable, before: InsulationTest, after: InsulationTest): Fall[] {
  const was = stateWhenRead(cable, before).judged;
  const is = stateWhenRead(cable, after).judged;
  const newest = newestByPair(after.readings);
  const falls: Fall[] = [];
  for (const [pair, { megohm20 }] of is) {
    // What the tester could not measure is a lower bound: it shows no fall.
    if (newest.get(pair)?.saturated) continue;
    const beforeMegohm = was.get(pair)?.megohm20;
    if (beforeMegohm !== undefined && fellTooFar(beforeMegohm, megohm20, cable.mineral!.fallFactor)) {
      falls.push({ pair, beforeMegohm, afterMegohm: megohm20 });
    }
  }
  return falls;
}

/** The worst pair of each test that counts, over time. */
export interface History {
  /** Time in ms since 1970; MΩ at 20 °C; the pair that it is of. */
  points: (TimedReading & { pair: string; test: string })[];
  trend: Trend | null;
  /** When the trend crosses the threshold in service; null when no fall stands out of the scatter, or it lies too far ahead. */
  crossing: Crossing | null;
}

/** Fewest tests that a forecast is made of. Chosen: three points and a line leave one to tell the scatter by. */
const FORECAST_TESTS = 4;

/** How far ahead a forecast reaches, in times that were observed. Chosen: beyond that a line through few points says nothing. */
const AHEAD = 2;

/** Insulation of a cable over the years; drying-out and tests that the far end or the temperature make invalid do not count. */
export function historyOf(cable: Cable, tests: readonly InsulationTest[]): History {
  const points: History['points'] = [];
  for (const test of [...tests].sort((a, b) => (a.at < b.at ? -1 : 1))) {
    if (test.drying || !test.farEndSealed || isOutside(test.temperatureC)) continue;
    const { judged } = stateWhenRead(cable, test);
    let worst: JudgedInsulation | null = null;
    for (const one of judged.values()) if (!worst || one.megohm20 < worst.megohm20) worst = one;
    if (worst)
      points.push({ t: Date.parse(test.at), megohm: worst.megohm20, pair: worst.pair, test: test.id });
  }
  const trend = points.length >= FORECAST_TESTS ? fitTrend(points) : null;
  const newest = points[points.length - 1];
  const falls = trend !== null && trend.slope < 0 && isSignificant(trend);
  const crossing = falls ? crossingOf(trend, cable.mineral!.serviceMegohm, newest!.t) : null;
  const observed = newest ? newest.t - points[0]!.t : 0;
  // Further ahead than twice the time that was observed a straight line says nothing.
  const near = crossing !== null && crossing.t - newest!.t <= AHEAD * observed;
  return { points, trend, crossing: near ? crossing : null };
}
