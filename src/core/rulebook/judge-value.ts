import { atMost, below } from '../quantity/compare';
import { conforms, fails, marginal, unread } from './check';
import { groupsOf, singleUncertainty, type Context, type ReadingGroup } from './dossier';
import type { Aspect, Facts } from './finding';

/** A single value that is held against limits: turns, torque, a length. */
export interface ValueTask {
  place: string;
  /** Names the thing in the sentence, e.g. "Armour exposed". */
  part: string;
  unit: 'mm' | 'turns' | 'N·m';
  low: number | null;
  high: number | null;
  /** What would settle it when nothing was read. */
  settle: string;
}

/** Every reading of a place against its limits, by the site's rule for readings near a limit. */
export function judgeValues(context: Context, task: ValueTask): Aspect[] {
  const groups = groupsOf(context, task.place);
  const { part, unit, low, high } = task;
  if (groups.length === 0) return [unread('value.none', { part, unit, low, high }, task.settle)];
  return groups.map((group) => judgeGroup(context, task, group));
}

/** Why a group of readings cannot count; null when it can. */
export function faultOfGroup(part: string, { fault, instrument }: ReadingGroup): Aspect | null {
  if (!fault) return null;
  const facts = { part, instrument: instrument.tag, until: instrument.calibratedUntil };
  return unread(`measured.${fault}`, facts, 'settle.other-instrument');
}

function judgeGroup({ site }: Context, task: ValueTask, group: ReadingGroup): Aspect {
  const { part, unit, low, high } = task;
  const fault = faultOfGroup(part, group);
  if (fault) return fault;
  const values = group.readings.map(({ value }) => value);
  const least = Math.min(...values);
  const most = Math.max(...values);
  const uncertainty = singleUncertainty(group.instrument);
  const benefit = site.acceptance === 'guarded-reject' ? uncertainty : 0;
  const guard = site.acceptance === 'guarded' ? uncertainty : 0;
  const facts: Facts = { part, unit, low, high, uncertainty, value: least };
  const inMm = (margin: number) => (unit === 'mm' ? margin : null);
  if (low !== null && below(least, low - benefit)) {
    return fails('value.under', { ...facts, excess: low - least }, inMm(least - low));
  }
  if (high !== null && below(high + benefit, most)) {
    return fails('value.over', { ...facts, value: most, excess: most - high }, inMm(high - most));
  }
  const lowMargin = low === null ? Infinity : least - low;
  const highMargin = high === null ? Infinity : high - most;
  const margin = Math.min(lowMargin, highMargin);
  const value = highMargin < lowMargin ? most : least;
  if (atMost(guard, margin)) return conforms('value.inside', { ...facts, value }, inMm(margin));
  return marginal('value.close', { ...facts, value }, 'settle.value-finer', inMm(margin));
}
