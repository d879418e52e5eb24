import { agreement } from '../../measuring/agreement';
import { metalSheathMm } from '../../mineral/sheath';
import { atMost } from '../../quantity/compare';
import type { Diameter } from '../../measuring/diameter';
import { conforms, fails, unread, type Check } from '../check';
import { diameterOf, groupsOf, type Context } from '../dossier';
import type { Aspect } from '../finding';
import { judgeLook } from '../look';

/** The cable as measured is the cable of the record; unused cores are terminated. */
export const e27: Check = {
  id: 'E-27',
  title: 'Cable agrees with its record',
  grade: 'close',
  hazard: 'record',
  place: 'outer-sheath',
  consequence: () => 1,
  run(context) {
    const { cable } = context;
    const look = judgeLook(context, 'unused-cores');
    if (!cable) return [unread('cable.none', {}, 'settle.cable'), look];
    const outer = bestDiameter(context, 'outer-sheath');
    if (!outer) return [unread('e27.not-measured', { cable: cable.tag }, 'settle.take-three'), look];
    const inner = bestDiameter(context, 'inner-sheath');
    const aspects = [overall(context, outer)];
    if (inner && cable.armour) {
      const record = {
        armourMm: cable.armour.sizeMm,
        sheathMm: cable.sheathMm,
        toleranceMm: cable.toleranceMm,
      };
      const { agrees, ...numbers } = agreement(outer, inner, record);
      const facts = { cable: cable.tag, ...numbers };
      aspects.push(agrees ? conforms('e27.layers-agree', facts) : fails('e27.layers-differ', facts));
    }
    return [...aspects, look];
  },
};

function overall({ cable }: Context, outer: Diameter): Aspect {
  const recordMm = metalSheathMm(cable!);
  const differenceMm = outer.meanMm - recordMm;
  const allowedMm = outer.expandedUncertaintyMm + cable!.toleranceMm;
  const facts = {
    cable: cable!.tag,
    meanMm: outer.meanMm,
    uncertaintyMm: outer.expandedUncertaintyMm,
    recordMm,
    differenceMm,
    allowedMm,
  };
  return atMost(Math.abs(differenceMm), allowedMm)
    ? conforms('e27.overall-agrees', facts)
    : fails('e27.overall-differs', facts);
}

/** The diameter from most readings; null when the place has none that count. */
function bestDiameter(context: Context, place: string): Diameter | null {
  let best = null;
  for (const group of groupsOf(context, place)) {
    if (group.fault) continue;
    if (!best || group.readings.length > best.readings.length) best = group;
  }
  return best && diameterOf(context, best, context.cable?.coldFlow ?? false);
}
