import type { ReadingFault } from '../instrument/instrument';
import { atMost, below } from '../quantity/compare';
import { saying, type Keyed } from './check';
import { groupsOf, singleUncertainty, type Context, type ReadingGroup } from './dossier';
import type { Aspect, Facts } from '../record/finding';
import { passedOver } from './passed-over';
import { countedGroups, type Weighed } from './readings';
import type { ValueTask } from '../kinds/situation';

type OfValue = {
  part?: string;
  unit: string;
  low: number | null;
  high: number | null;
  uncertainty: number;
  value: number;
  excess: number;
};

/** What it says, and the facts of each. */
type Says = Keyed<'measured', ReadingFault> & {
  'value.none': { part?: string; unit: string; low: number | null; high: number | null };
  'place.disagree': { part?: string; said: string };
  'value.under': OfValue;
  'value.over': OfValue;
  'value.inside': OfValue;
  'value.close': OfValue;
};
const { conforms, fails, marginal, unread } = saying<Says>();

/** Every reading of a place against its limits, by the site's rule for readings near a limit. */
export function judgeValues(context: Context, task: ValueTask): Aspect[] {
  const groups = groupsOf(context, task.place);
  const { part, unit, low, high } = task;
  if (groups.length === 0) {
    const none = unread('value.none', { part, unit, low, high }, task.settle);
    return [passedOver(context, task.place) ?? none];
  }
  const counted = countedGroups(groups, (group) => weighValue(group));
  if (!counted) return [valuesDisagree({ part }, unit, groups)];
  return counted.map((group) => judgeGroup(context, task, group));
}

/** A group of single values as it is weighed against others of its place, in its own unit. */
export function weighValue({ readings, instrument, fault }: ReadingGroup, perUnit = 1): Weighed {
  const values = readings.map(({ value }) => value * perUnit);
  const u = singleUncertainty(instrument) * perUnit;
  return { low: Math.min(...values) - u, high: Math.max(...values) + u, decisive: !fault };
}

/** Values of one place that do not meet each other. */
export function valuesDisagree(of: Facts, unit: string, groups: readonly ReadingGroup[]): Aspect {
  const said = groups.map(
    ({ readings, instrument, by }) =>
      `${readings.map(({ value }) => value).join(', ')} ${unit} (${instrument.tag}, ${by})`,
  );
  return unread('place.disagree', { ...of, said: said.join('; ') }, 'settle.measure-again');
}

/** Why a group of readings cannot count; null when it can. */
export function faultOfGroup(of: Facts, { fault, instrument }: ReadingGroup): Aspect | null {
  if (!fault) return null;
  const facts = { ...of, instrument: instrument.tag, until: instrument.calibratedUntil };
  return unread(`measured.${fault}`, facts, 'settle.other-instrument');
}

function judgeGroup({ site }: Context, task: ValueTask, group: ReadingGroup): Aspect {
  const { part, unit, low, high } = task;
  const fault = faultOfGroup({ part }, group);
  if (fault) return fault;
  let least = Infinity;
  let most = -Infinity;
  for (const { value } of group.readings) {
    if (value < least) least = value;
    if (value > most) most = value;
  }
  const uncertainty = singleUncertainty(group.instrument);
  const benefit = site.acceptance === 'guarded-reject' ? uncertainty : 0;
  const guard = site.acceptance === 'guarded' ? uncertainty : 0;
  const facts = (value: number, excess: number) => ({
    part,
    unit,
    low,
    high,
    uncertainty,
    value,
    excess,
  });
  const inMm = (margin: number) => (unit === 'mm' ? margin : null);
  if (low !== null && below(least, low - benefit)) {
    return fails('value.under', facts(least, low - least), inMm(least - low));
  }
  if (high !== null && below(high + benefit, most)) {
    return fails('value.over', facts(most, most - high), inMm(high - most));
  }
  const lowMargin = low === null ? Infinity : least - low;
  const highMargin = high === null ? Infinity : high - most;
  const margin = Math.min(lowMargin, highMargin);
  const found = facts(highMargin < lowMargin ? most : least, 0);
  if (atMost(guard, margin)) return conforms('value.inside', found, inMm(margin));
  return marginal('value.close', found, 'settle.value-finer', inMm(margin));
}
