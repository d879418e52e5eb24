import { pathResistance } from '../../earth/path';
import { atMost, below } from '../../quantity/compare';
import { conforms, fails, marginal, unread, type Check } from '../check';
import { groupsOf, singleUncertainty, type Context, type ReadingGroup } from '../dossier';
import type { Aspect } from '../finding';
import { faultOfGroup } from '../judge-value';
import { passedOver } from '../passed-over';
import { noCable } from './m-insulation';

/** A reading under this share of the prediction went another way than along the sheath. */
const PARALLEL_SHARE = 1 / 2;
const AT_C = 20;

/** The copper sheath is the earth conductor: measured from end to end against what area and length predict. */
export const m07: Check = {
  id: 'M-07',
  title: 'Sheath as earth conductor',
  grade: 'detailed',
  hazard: 'shock',
  place: 'sheath-earth',
  consequence: () => 3,
  run(context) {
    const none = noCable(context);
    if (none) return [none];
    const { cable } = context;
    const { sheathMm2 } = cable!.mineral!;
    if (sheathMm2 === null) return [unread('m07.area-unknown', { cable: cable!.tag }, 'settle.cable')];
    const predictedOhm = pathResistance('copper', cable!.lengthM, 1, sheathMm2, AT_C);
    const groups = groupsOf(context, 'sheath-earth');
    if (groups.length === 0) {
      const facts = { predictedOhm, lengthM: cable!.lengthM, sheathMm2 };
      return [
        passedOver(context, 'sheath-earth') ?? unread('m07.not-measured', facts, 'settle.sheath-earth'),
      ];
    }
    return groups.map((group) => judgePath(context, group, predictedOhm, sheathMm2));
  },
};

function judgePath(
  { site, cable }: Context,
  group: ReadingGroup,
  predictedOhm: number,
  sheathMm2: number,
): Aspect {
  const fault = faultOfGroup('Sheath resistance', group);
  if (fault) return fault;
  const ohm = Math.max(...group.readings.map(({ value }) => value));
  const uncertaintyOhm = singleUncertainty(group.instrument);
  const factor = site.bondPredictionFactor;
  const facts = { ohm, uncertaintyOhm, predictedOhm, factor, lengthM: cable!.lengthM, sheathMm2 };
  if (below(predictedOhm * factor, ohm - uncertaintyOhm)) return fails('m07.high', facts);
  if (below(ohm + uncertaintyOhm, predictedOhm * PARALLEL_SHARE))
    return unread('m07.parallel', facts, 'settle.sheath-earth');
  if (!atMost(ohm + uncertaintyOhm, predictedOhm * factor))
    return marginal('m07.close', facts, 'settle.bond-finer');
  return conforms('m07.agrees', facts);
}
