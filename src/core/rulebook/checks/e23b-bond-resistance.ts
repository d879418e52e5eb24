import { BOND } from '../../kinds/places';
import { measures } from '../../kinds/kinds';
import { type Check, saying } from '../check';
import { groupsOf, singleUncertainty, type Context, type ReadingGroup } from '../dossier';
import type { Aspect } from '../../record/finding';
import { judgeEarth } from '../judge-earth';
import { faultOfGroup, valuesDisagree, weighValue } from '../judge-value';
import { parallelPath } from '../parallel-path';
import { passedOver } from '../passed-over';
import { countedGroups } from '../readings';

/** What it says, and the facts of each. */
type Says = {
  'e23b.not-measured': { limitOhm: number; expectedOhm: number | null };
};
const { unread } = saying<Says>();

/** Resistance of the bond across the joint against the site's limit; across a joint alone nothing is predicted. */
export const e23b: Check = {
  id: 'E-23b',
  kinds: (kind) => measures(kind, BOND.id),
  basis: { 'iec-2013': 'IEC 60079-17:2013, Table 1, earthing; site limit' },
  grade: 'detailed',
  hazard: 'shock',
  place: 'bond',
  consequence: () => 3,
  run(context) {
    const { certificate, site } = context;
    const groups = groupsOf(context, 'bond');
    const expectedOhm = certificate?.sheet.expectedBondOhm ?? null;
    if (groups.length === 0) {
      const none = unread('e23b.not-measured', { limitOhm: site.bondLimitOhm, expectedOhm }, 'settle.bond');
      return [passedOver(context, 'bond') ?? none];
    }
    const kept = countedGroups(groups, (group) => weighValue(group));
    if (!kept) return [valuesDisagree({ part: 'bond-resistance' }, 'Ω', groups)];
    return kept.map((group) => judgeBond(context, group, expectedOhm));
  },
};

function judgeBond(context: Context, group: ReadingGroup, expectedOhm: number | null): Aspect {
  const fault = faultOfGroup({ part: 'bond-resistance' }, group);
  if (fault) return fault;
  const reading = {
    ohm: Math.max(...group.readings.map(({ value }) => value)),
    uncertaintyOhm: singleUncertainty(group.instrument),
  };
  return judgeEarth(context, reading, {
    limitOhm: context.site.bondLimitOhm,
    predictedOhm: null,
    parallel: parallelPath(context),
    facts: { expectedOhm },
    key: 'e23b',
  });
}
