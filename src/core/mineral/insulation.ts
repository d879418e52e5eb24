import { atMost, below } from '../quantity/compare';

export const INSULATION_STAGES = ['before-seal', 'after-seal', 'in-service'] as const;
export type InsulationStage = (typeof INSULATION_STAGES)[number];
export type InsulationVerdict = 'sound' | 'damp' | 'short' | 'invalid';
export type InsulationAction = 'seal-now' | 'dry-out' | 'find-fault' | 'retest' | 'record';

/** One reading of one pair. */
export interface InsulationReading {
  pair: string;
  megohm: number;
  /** The tester shows more than it can measure: a lower bound. */
  saturated: boolean;
  temperatureC: number;
  farEndSealed: boolean;
  ageMin: number;
}

export interface JudgedInsulation {
  pair: string;
  /** Normalised to 20 °C, for trends. */
  megohm20: number;
  /** What the verdict rests on: the stricter of measured and normalised. */
  judgedMegohm: number;
  /** Normalised to 20 °C and length, MΩ·km. */
  megohmKm: number | null;
  verdict: InsulationVerdict;
}

/** Reference of normalised resistances, and the kelvin in which insulation halves, °C. Chosen: the rule of thumb of insulation testing, half for every ten kelvin. */
const REFERENCE_C = 20;
const HALVES_PER_K = 10;
/** Outside these the end of the cable is too cold (frozen moisture reads high) or too hot to be judged, °C. Chosen: frozen moisture and a hot end both read wrong. */
export const COLDEST_C = 5;
export const HOTTEST_C = 40;
/** Below this share of the threshold it is no damp any more. Chosen: damp lowers it by tens, a touching conductor by thousands. */
const SHORT_SHARE = 1 / 100;

/** Insulation resistance as it would be at 20 °C, MΩ. */
export const at20C = (megohm: number, temperatureC: number): number =>
  megohm * 2 ** ((temperatureC - REFERENCE_C) / HALVES_PER_K);

/** Whether the end of the cable is too cold or too hot for a test to say anything. */
export const isOutside = (temperatureC: number): boolean =>
  below(temperatureC, COLDEST_C) || below(HOTTEST_C, temperatureC);

/** One reading judged against a threshold, MΩ; temperature may make it stricter, never kinder. */
export function judgeInsulation(
  reading: InsulationReading,
  thresholdMegohm: number,
  lengthM: number | null,
): JudgedInsulation {
  const { pair, megohm, saturated, temperatureC, farEndSealed } = reading;
  const megohm20 = at20C(megohm, temperatureC);
  const judgedMegohm = Math.min(megohm, megohm20);
  const outside = isOutside(temperatureC);
  const enough = atMost(thresholdMegohm, judgedMegohm);
  const invalid = !farEndSealed || outside || (saturated && !enough);
  const verdict = invalid
    ? 'invalid'
    : enough
      ? 'sound'
      : atMost(thresholdMegohm * SHORT_SHARE, judgedMegohm)
        ? 'damp'
        : 'short';
  return {
    pair,
    megohm20,
    judgedMegohm,
    megohmKm: lengthM === null ? null : (megohm20 * lengthM) / 1000,
    verdict,
  };
}

/**
 * What to do after a test of every pair.
 *
 * @param windowMin how old the oldest reading may be when the pot is sealed, min
 */
export function insulationAction(
  stage: InsulationStage,
  verdicts: readonly InsulationVerdict[],
  oldestMin: number,
  windowMin: number,
): InsulationAction {
  if (verdicts.includes('invalid')) return 'retest';
  if (verdicts.includes('short')) return 'find-fault';
  if (verdicts.includes('damp')) return 'dry-out';
  if (stage !== 'before-seal') return 'record';
  return atMost(oldestMin, windowMin) ? 'seal-now' : 'retest';
}

/** Pairs of a cable that are tested: each conductor to each other and to the sheath, and the screen to both. */
export function pairsOf(conductors: readonly string[], screened: boolean): string[] {
  const pairs: string[] = [];
  conductors.forEach((a, i) => conductors.slice(i + 1).forEach((b) => pairs.push(`${a}-${b}`)));
  if (screened) for (const a of conductors) pairs.push(`${a}-screen`);
  for (const a of conductors) pairs.push(`${a}-sheath`);
  if (screened) pairs.push('screen-sheath');
  return pairs;
}

/** What stands for a conductor against all the others joined to the sheath. */
const REST = 'rest';

/** One test per conductor, each against all the others joined to the sheath: they stand for every pair. */
export const restPairsOf = (conductors: readonly string[], screened: boolean): string[] =>
  [...conductors, ...(screened ? ['screen'] : [])].map((name) => `${name}-${REST}`);

/** Pairs that are still missing: of every pair, or of one test per conductor, whichever lacks less. */
export function missingPairs(
  conductors: readonly string[],
  screened: boolean,
  read: { has(pair: string): boolean },
): string[] {
  const each = restPairsOf(conductors, screened).filter((pair) => !read.has(pair));
  if (each.length === 0) return [];
  const every = pairsOf(conductors, screened).filter((pair) => !read.has(pair));
  const begun = each.length < restPairsOf(conductors, screened).length;
  return begun && each.length < every.length ? each : every;
}

/** Whether insulation fell by more than a factor between two tests of a pair: a finding even above the threshold. */
export const fellTooFar = (beforeMegohm: number, afterMegohm: number, factor: number): boolean =>
  below(afterMegohm * factor, beforeMegohm);
