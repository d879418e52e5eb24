import { below } from '../quantity/compare';
import { conformity, fitVerdict } from '../measuring/fit';
import { DECISIVE_READINGS, type Diameter } from '../measuring/diameter';
import { saying } from './check';
import {
  diameterOf,
  groupsOf,
  isDustProof,
  isFlameproof,
  kindOf,
  type Context,
  type ReadingGroup,
} from './dossier';
import { isWorse, type Aspect } from '../record/finding';
import { faultOfGroup } from './judge-value';
import { judgeLook } from './look';
import { countedGroups, type Weighed } from './readings';
import type { FitTask } from '../kinds/situation';

/** What is measured, and on which face of the ring where that decides. */
type OfPart = { part: string; face?: string; armour?: string };
/** What was found of it against its range. */
type OfFit = OfPart & {
  lowMm: number;
  highMm: number;
  meanMm: number;
  minMm: number;
  maxMm: number;
  uncertaintyMm: number;
  readings: number;
  instrument: string;
  marginMm: number;
  rule: string;
  /** By how much it lies outside its range. */
  excessMm?: number;
};

/** What it says, and the facts of each. */
type Says = {
  'fit.no-readings': OfPart & { lowMm: number; highMm: number };
  'place.disagree': OfPart & { said: string };
  'fit.undecidable': OfFit;
  'fit.above': OfFit;
  'fit.below': OfFit;
  'fit.ovality-unknown': OfFit;
  'fit.oval': OfFit & { ovalityPct: number; allowedPct: number };
  'fit.marginal': OfFit;
  'fit.few-readings': OfFit & { missing: number };
  'fit.repeatability-unknown': OfFit & { missing: number };
  'fit.probability': OfFit & { probability: number };
  'fit.inside': OfFit;
  'fit.ovality-hidden': OfFit & { allowancePct: number; allowedPct: number };
  'fit.flats-unseen': OfFit & { allowancePct: number; allowedPct: number };
};
const { conforms, fails, marginal, unread } = saying<Says>();

/** Probability of conformity that an ignition-critical entry needs without a guard band. Chosen: the usual level of confidence (JCGM 106). */
const WANTED_PROBABILITY = 0.95;

/**
 * The fit of a place against a certified range. Each group of readings gives one diameter; the worst verdict
 * of the decisive ones is the place's, and groups that contradict each other leave it unread.
 */
export function judgeFit(context: Context, task: FitTask): Aspect {
  const groups = groupsOf(context, task.place);
  const [lowMm, highMm] = task.rangeMm;
  if (groups.length === 0) {
    return unread('fit.no-readings', { ...partFacts(task), lowMm, highMm }, 'settle.take-three');
  }
  const counted = countedGroups(groups, (group) => weighDiameter(context, group, task.soft));
  if (!counted) return disagree(partFacts(task), groups, (group) => diameterOf(context, group, task.soft));
  let worst: Aspect | null = null;
  const ovalityKnown = counted.some((group) => !group.fault && group.method !== 'tape');
  for (const group of counted) {
    const aspect = judgeGroup(context, task, group, ovalityKnown);
    if (!worst || isWorse(aspect.outcome, worst.outcome)) worst = aspect;
  }
  return worst!;
}

/** A group of diameters as it is weighed against others of its place, mm. */
function weighDiameter(context: Context, group: ReadingGroup, soft: boolean): Weighed {
  const { minMm, maxMm, expandedUncertaintyMm: u, decisive } = diameterOf(context, group, soft);
  return { low: minMm - u, high: maxMm + u, decisive: decisive && !group.fault };
}

/** Diameters of a place that count; null where they contradict each other. */
export const countedDiameters = (context: Context, place: string, soft: boolean) =>
  countedGroups(groupsOf(context, place), (group) => weighDiameter(context, group, soft));

/** What the range belongs to, as facts of a finding. */
const partFacts = ({ part, on }: FitTask): OfPart => (on ? { part, ...on } : { part });

/** Readings of one place that do not meet each other: measured again, one of them is struck out. */
function disagree(
  part: OfPart,
  groups: readonly ReadingGroup[],
  of: (group: ReadingGroup) => Pick<Diameter, 'meanMm' | 'expandedUncertaintyMm'>,
): Aspect {
  const said = groups.map((group) => {
    const { meanMm, expandedUncertaintyMm } = of(group);
    return `${meanMm.toFixed(2)} ± ${expandedUncertaintyMm.toFixed(2)} mm (${group.instrument.tag}, ${group.by})`;
  });
  return unread('place.disagree', { ...part, said: said.join('; ') }, 'settle.measure-again');
}

function judgeGroup(context: Context, task: FitTask, group: ReadingGroup, ovalityKnown: boolean): Aspect {
  const { part, rangeMm, seal } = task;
  const [lowMm, highMm] = rangeMm;
  const instrument = group.instrument.tag;
  const fault = faultOfGroup({ ...partFacts(task), lowMm, highMm }, group);
  if (fault) return fault;
  const d = diameterOf(context, group, task.soft);
  const rule = context.site.acceptance;
  const result = fitVerdict(rangeMm, d, rule);
  const margin = Math.min(result.marginLowMm, result.marginHighMm);
  const facts: OfFit = {
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
  if (task.on) Object.assign(facts, task.on);
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
  if (seal?.ovalityPct === null) return unread('fit.ovality-unknown', facts, 'settle.sheet');
  if (seal && d.ovalityPct !== null && below(seal.ovalityPct, d.ovalityPct)) {
    return fails('fit.oval', { ...facts, ovalityPct: d.ovalityPct, allowedPct: seal.ovalityPct }, margin);
  }
  const hidden = seal && !ovalityKnown ? judgeHiddenOvality(context, facts, seal.ovalityPct) : null;
  if (hidden) return hidden;
  if (result.verdict === 'marginal') {
    return marginal('fit.marginal', facts, 'settle.more-readings', margin);
  }
  return inside(context, task, d, facts, margin);
}

/** A diameter inside its range: sound once it is decisive, and probable enough where it matters most. */
function inside(context: Context, task: FitTask, d: Diameter, facts: OfFit, margin: number): Aspect {
  const rule = context.site.acceptance;
  if (!d.decisive) {
    const few = d.n < DECISIVE_READINGS;
    return marginal(
      few ? 'fit.few-readings' : 'fit.repeatability-unknown',
      { ...facts, missing: Math.max(0, DECISIVE_READINGS - d.n) },
      few ? 'settle.take-three' : 'settle.repeatability',
      margin,
    );
  }
  const barrier = kindOf(context).pot === 'compound';
  const critical = isFlameproof(context) || isDustProof(context) || barrier;
  if (rule !== 'guarded' && critical) {
    const probability = conformity(task.rangeMm, d);
    if (below(probability, WANTED_PROBABILITY)) {
      return marginal('fit.probability', { ...facts, probability }, 'settle.more-readings', margin);
    }
  }
  return conforms('fit.inside', facts, margin);
}

/**
 * A tape hides whether a cable is round: the site's allowance stands for its ovality, and a look for flats is
 * asked. Null where both hold.
 */
function judgeHiddenOvality(context: Context, facts: OfFit, allowedPct: number): Aspect | null {
  const { ovalityAllowancePct } = context.site;
  const found = { ...facts, allowancePct: ovalityAllowancePct, allowedPct };
  if (below(allowedPct, ovalityAllowancePct)) return unread('fit.ovality-hidden', found, 'settle.caliper');
  const look = judgeLook(context, FLATS_LOOK);
  if (look.outcome === 'conforms') return null;
  return look.outcome === 'fails' ? look : unread('fit.flats-unseen', found, 'settle.flats');
}

/** The look that a tape asks for. */
const FLATS_LOOK = 'flats';
