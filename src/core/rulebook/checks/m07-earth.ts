import { pathResistance } from '../../earth/path';
import { blank, type Check, saying } from '../check';
import { groupsOf, singleUncertainty, type Context, type ReadingGroup } from '../dossier';
import type { Aspect } from '../../record/finding';
import { judgeEarth } from '../judge-earth';
import { faultOfGroup, valuesDisagree, weighValue } from '../judge-value';
import { parallelPath } from '../parallel-path';
import { passedOver } from '../passed-over';
import { countedGroups } from '../readings';
import { noCable } from '../mineral-insulation';

/** What it says, and the facts of each. */
type Says = {
  'm07.area-unknown': { cable: string };
  'm07.not-measured': { predictedOhm: number; lengthM: number; sheathMm2: number };
};
const { unread } = saying<Says>();

/** Temperature for which the sheath is predicted, °C. Chosen: resistivities are given at it (IEC 60287-1-1). */
const AT_C = 20;

/** The copper sheath is the earth conductor: measured from end to end against its limit and what area and length predict. */
export const m07: Check = {
  id: 'M-07',
  kinds: ({ mineral }) => mineral,
  basis: { 'iec-2013': 'IEC 60079-17:2013, Table 1, earthing' },
  grade: 'detailed',
  hazard: 'explosion',
  shock: () => true,
  place: 'sheath-earth',
  consequence: () => 3,
  run(context) {
    const none = noCable(context);
    if (none) return [none];
    const { cable } = context;
    const { sheathMm2 } = cable!.mineral!;
    if (sheathMm2 === null) return [unread('m07.area-unknown', { cable: cable!.tag }, 'settle.cable')];
    if (cable!.lengthM === null) return [blank('length', cable!.tag, 'settle.cable')];
    const predictedOhm = pathResistance('copper', cable!.lengthM, 1, sheathMm2, AT_C);
    const groups = groupsOf(context, 'sheath-earth');
    if (groups.length === 0) {
      const facts = { predictedOhm, lengthM: cable!.lengthM, sheathMm2 };
      return [
        passedOver(context, 'sheath-earth') ?? unread('m07.not-measured', facts, 'settle.sheath-earth'),
      ];
    }
    const kept = countedGroups(groups, (group) => weighValue(group));
    if (!kept) return [valuesDisagree({ part: 'sheath-resistance' }, 'Ω', groups)];
    return kept.map((group) => judgePath(context, group, predictedOhm, sheathMm2));
  },
};

function judgePath(context: Context, group: ReadingGroup, predictedOhm: number, sheathMm2: number): Aspect {
  const fault = faultOfGroup({ part: 'sheath-resistance' }, group);
  if (fault) return fault;
  const { cable } = context;
  const reading = {
    ohm: Math.max(...group.readings.map(({ value }) => value)),
    uncertaintyOhm: singleUncertainty(group.instrument),
  };
  // That one end was disconnected is said for the bond, which is read with the same connection.
  return judgeEarth(context, reading, {
    limitOhm: cable!.mineral!.earthLimitOhm ?? null,
    predictedOhm,
    parallel: parallelPath(context),
    facts: { lengthM: cable!.lengthM, sheathMm2 },
    key: 'm07',
  });
}
