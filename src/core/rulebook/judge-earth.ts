import { atMost, below } from '../quantity/compare';
import { saying, type Keyed } from './check';
import type { Context } from './dossier';
import type { Aspect, Facts } from '../record/finding';

/** What it says of whose path it is; the names of the thing come with the task. */
type Says = Keyed<string, 'over' | 'path-unknown' | 'parallel' | 'low' | 'far' | 'close' | 'agrees'>;
const { conforms, fails, marginal, unread } = saying<Says>();

/** A resistance of the earth path as it was measured, Ω. */
export interface EarthReading {
  ohm: number;
  uncertaintyOhm: number;
}

/** What it is held against. */
export interface EarthTask {
  /** Highest resistance by site or sheet, Ω; null where none is set. */
  limitOhm: number | null;
  /** Resistance of a measured length of known area, Ω; null across a joint alone, or without area and length. */
  predictedOhm: number | null;
  /** Whether a parallel path can carry the test current; null: not recorded. Undefined: it is not asked. */
  parallel?: boolean | null;
  /** Names of the thing, for the sentence; the figures are added to them. */
  facts: Facts;
  /** First part of the keys of its sentences. */
  key: string;
}

/**
 * One rule for every earth path: R is held against [0, limit] by the site's acceptance rule; over a measured
 * length a value far above the prediction is a close call and one far below it proves nothing.
 */
export function judgeEarth(
  { site }: Context,
  { ohm, uncertaintyOhm }: EarthReading,
  task: EarthTask,
): Aspect {
  const { limitOhm, predictedOhm, parallel, key } = task;
  const factor = site.bondPredictionFactor;
  // Added to the caller's own: a copy would cost more than the judgement.
  const facts: Facts = Object.assign(task.facts, { ohm, uncertaintyOhm, limitOhm, predictedOhm, factor });
  const benefit = site.acceptance === 'guarded-reject' ? uncertaintyOhm : 0;
  const guard = site.acceptance === 'guarded' ? uncertaintyOhm : 0;
  if (limitOhm !== null && !atMost(ohm, limitOhm + benefit)) return fails(`${key}.over`, facts);
  // A parallel path hides a bad joint behind a low value.
  if (parallel === null) return unread(`${key}.path-unknown`, facts, 'settle.bond-path');
  if (parallel) return unread(`${key}.parallel`, facts, 'settle.bond');
  if (predictedOhm !== null && below(ohm, predictedOhm / factor))
    return unread(`${key}.low`, facts, 'settle.sheath-earth');
  if (predictedOhm !== null && below(predictedOhm * factor, ohm))
    return marginal(`${key}.far`, facts, 'settle.bond-open');
  if (limitOhm !== null && !atMost(ohm + guard, limitOhm))
    return marginal(`${key}.close`, facts, 'settle.bond-finer');
  return conforms(`${key}.agrees`, facts);
}
