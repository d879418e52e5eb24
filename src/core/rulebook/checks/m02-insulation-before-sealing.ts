import type { InsulationTest } from '../../record/types';
import { type Check, saying } from '../check';
import type { Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { passedOver } from '../passed-over';
import { beforeOf, weigh, isShort, noCable, judgeTest } from '../mineral-insulation';

/** What it says, and the facts of each. */
type Says = {
  'm.no-test': { when: string };
  'm02.late': { pairs: string; sealedAt: string };
};
const { unread } = saying<Says>();

/** Insulation before the end was sealed. */
export const m02: Check = {
  id: 'M-02',
  kinds: ({ mineral }) => mineral,
  basis: {
    'iec-2013':
      'Assembly sheet, insulation before sealing; IEC 60079-17:2013, Table 1, insulation resistance',
    certificate: true,
  },
  grade: 'detailed',
  hazard: 'explosion',
  shock: isShort,
  place: 'insulation-before',
  consequence: (context) => weigh(context, beforeOf(context)),
  run(context) {
    const test = beforeOf(context);
    if (test) return [beforeSealing(context, judgeTest(context, test, 'before')), ...lateReadings(context, test)]; // prettier-ignore
    return [
      noCable(context) ??
        passedOver(context, 'insulation-before') ??
        unread('m.no-test', { when: 'before' }, 'settle.ir-before'),
    ];
  },
};

/** What is damp and not sealed yet is dried out and tested again: no defect so far. */
const beforeSealing = ({ mineral }: Context, aspect: Aspect): Aspect =>
  aspect.key === 'm.damp' && mineral!.sealedAt === null
    ? { ...aspect, outcome: 'unread', settle: 'settle.dry', marginMm: null }
    : aspect;

/** Readings of the test before that lie behind the sealing cannot be. */
function lateReadings({ mineral }: Context, test: InsulationTest): Aspect[] {
  const { sealedAt } = mineral!;
  if (sealedAt === null) return [];
  const late = test.readings.filter(({ at }) => at > sealedAt).map(({ pair }) => pair);
  if (late.length === 0) return [];
  return [unread('m02.late', { pairs: late.join(', '), sealedAt }, 'settle.ir-before')];
}
