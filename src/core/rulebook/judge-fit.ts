import { below } from '../quantity/compare';
import { conformity, fitVerdict } from '../measuring/fit';
import { DECISIVE_READINGS } from '../measuring/diameter';
import type { CableShape, Range } from '../record/types';
import { conforms, fails, marginal, unread } from './check';
import { diameterOf, groupsOf, isDustProof, isFlameproof, type Context, type ReadingGroup } from './dossier';
import { isWorse, type Aspect, type Facts } from './finding';

/** Probability of conformity that an ignition-critical entry needs without a guard band. */
const WANTED_PROBABILITY = 0.95;

/** What a place is held against. */
export interface FitTask {
  place: string;
  /** Names the thing in the sentence, e.g. "Outer seal". */
  part: string;
  rangeMm: Range;
  /** A seal also asks for a shape and for roundness; null for an armour clamp. */
  seal: { shapes: readonly CableShape[]; ovalityPct: number } | null;
  /** Readings were taken on a sheath that gives way. */
  soft: boolean;
}

/**
 * The fit of a place against a certified range. Each group of readings gives one diameter, and the worst
 * verdict is the place's.
 */
export function judgeFit(context: Context, task: FitTask): Aspect {
  const groups = groupsOf(context, task.place);
  const [lowMm, highMm] = task.rangeMm;
  if (groups.length === 0) {
    return unread('fit.no-readings', { part: task.part, lowMm, highMm }, 'settle.take-three');
  }
  let worst: Aspect | null = null;
  const ovalityKnown = groups.some((group) => !group.fault && group.method !== 'tape');
  for (const group of groups) {
    const aspect = judgeGroup(context, task, group, ovalityKnown);
    if (!worst || isWorse(aspect.outcome, worst.outcome)) worst = aspect;
  }
  return worst!;
}

function judgeGroup(context: Context, task: FitTask, group: ReadingGroup, ovalityKnown: boolean): Aspect {
  const { part, rangeMm, seal } = task;
  const [lowMm, highMm] = rangeMm;
  const instrument = group.instrument.tag;
  if (group.fault) {
    const until = group.instrument.calibratedUntil;
    return unread(
      `fit.${group.fault}`,
      { part, lowMm, highMm, instrument, until },
      'settle.other-instrument',
    );
  }
  const d = diameterOf(context, group, task.soft);
  const rule = context.site.acceptance;
  const result = fitVerdict(rangeMm, d, rule);
  const margin = Math.min(result.marginLowMm, result.marginHighMm);
  const facts: Facts = {
    part,
    lowMm,
    highMm,
    meanMm: d.meanMm,
    minMm: d.minMm,
    maxMm: d.maxMm,
    uncertaintyMm: d.expandedUncertaintyMm,
    readings: d.n,
    instrument,
    marginMm: margin,
    rule,
  };
  if (!result.decidable) return unread('fit.undecidable', facts, 'settle.finer-instrument');
  // Written in place: the finder asks this of thousands of sizes, and a spread would be its dearest step.
  if (result.verdict === 'above') {
    facts.excessMm = -result.marginHighMm;
    return fails('fit.above', facts, margin);
  }
  if (result.verdict === 'below') {
    facts.excessMm = -result.marginLowMm;
    return fails('fit.below', facts, margin);
  }
  if (seal && d.ovalityPct !== null && below(seal.ovalityPct, d.ovalityPct)) {
    return fails('fit.oval', { ...facts, ovalityPct: d.ovalityPct, allowedPct: seal.ovalityPct }, margin);
  }
  if (seal && !ovalityKnown) return unread('fit.ovality-hidden', facts, 'settle.caliper');
  if (result.verdict === 'marginal') {
    return marginal('fit.marginal', facts, 'settle.more-readings', margin);
  }
  if (!d.decisive) {
    const few = d.n < DECISIVE_READINGS;
    return marginal(
      few ? 'fit.few-readings' : 'fit.repeatability-unknown',
      { ...facts, missing: Math.max(0, DECISIVE_READINGS - d.n) },
      few ? 'settle.take-three' : 'settle.repeatability',
      margin,
    );
  }
  const critical = isFlameproof(context) || isDustProof(context);
  if (rule !== 'guarded' && critical) {
    const probability = conformity(rangeMm, d);
    if (below(probability, WANTED_PROBABILITY)) {
      return marginal('fit.probability', { ...facts, probability }, 'settle.more-readings', margin);
    }
  }
  return conforms('fit.inside', facts, margin);
}
