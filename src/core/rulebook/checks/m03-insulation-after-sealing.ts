import type { InsulationTest } from '../../record/types';
import { type Check, saying } from '../check';
import type { Context } from '../dossier';
import { isValidTest } from '../mineral-records';
import { passedOver } from '../passed-over';
import { afterOf, weigh, isShort, noCable, judgeTest } from '../mineral-insulation';

/** What it says, and the facts of each. */
type Says = {
  'm.no-test': { when: string };
};
const { unread } = saying<Says>();

/** The newest test since the sealing, a valid one where there is any. */
const latestOf = (context: Context): InsulationTest | null => {
  const after = afterOf(context);
  const valid = after.filter((test) => isValidTest(context.mineral!, context.cable!, test));
  return valid.at(-1) ?? after.at(-1) ?? null;
};

/** Insulation since the end was sealed. */
export const m03: Check = {
  id: 'M-03',
  kinds: ({ mineral }) => mineral,
  basis: { 'iec-2013': 'IEC 60079-17:2013, Table 1, insulation resistance; assembly sheet' },
  grade: 'detailed',
  hazard: 'explosion',
  shock: isShort,
  place: 'insulation-after',
  consequence: (context) => weigh(context, latestOf(context)),
  run(context) {
    const test = latestOf(context);
    if (test) return [judgeTest(context, test, test.stage === 'in-service' ? 'in-service' : 'after')];
    return [
      noCable(context) ??
        passedOver(context, 'insulation-after') ??
        unread('m.no-test', { when: 'after' }, 'settle.ir-after'),
    ];
  },
};
