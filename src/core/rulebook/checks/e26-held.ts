import { asksFor } from '../grades';
import { LEAST_BEND } from '../../mineral/link';
import { metalSheathMm } from '../../mineral/sheath';
import { below } from '../../quantity/compare';
import { blank, type Check, type None, saying } from '../check';
import { groupsOf, type Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { judgeValues } from '../judge-value';
import { judgeLook } from '../look';
import { valueTaskOf } from '../value-task';

/** What it says, and the facts of each. */
type Says = {
  'e01.no-certificate': None;
  'e26.bend': { radiusMm: number; leastMm: number; sheathMm: number };
};
const { fails, unread } = saying<Says>();

/** The cable is held near the gland, bent no tighter than it may and does not pull; clamped where the gland does not hold it. */
export const e26: Check = {
  id: 'E-26',
  kinds: ({ transit }) => transit === null,
  basis: { 'iec-2013': 'IEC 60079-14:2013, 9.3 and 10.2; IEC 60079-17:2013, Table 1, cables' },
  grade: 'visual',
  hazard: 'explosion',
  place: 'cable-held',
  consequence: () => 2,
  run(context) {
    const look = judgeLook(context, 'cable-held');
    const { certificate, grade } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate'), look];
    const bends = tightBends(context);
    if (certificate.reducedRetention === null && asksFor(grade, 'close'))
      return [...bends, blank('gland-holds-the-cable-by-itself', certificate.number, 'settle.certificate'), look]; // prettier-ignore
    // The distance asks for a rule, which a look from below does not have.
    const measured = groupsOf(context, 'support-distance').length > 0;
    if (!certificate.reducedRetention || (!measured && !asksFor(grade, 'close'))) return [...bends, look];
    const distance = judgeValues(context, valueTaskOf(context, 'support-distance')!);
    return [...bends, ...distance, look];
  },
};

/** Bends of a link that its sheath does not bear. */
function tightBends({ cable }: Context): Aspect[] {
  const bends = cable?.mineral?.link?.bends ?? [];
  if (!cable || bends.length === 0) return [];
  const sheathMm = metalSheathMm(cable);
  if (sheathMm === null) return [blank('overall-diameter', cable.tag, 'settle.cable')];
  const leastMm = LEAST_BEND * sheathMm;
  return bends
    .filter(({ radiusMm }) => below(radiusMm, leastMm))
    .map(({ radiusMm }) => fails('e26.bend', { radiusMm, leastMm, sheathMm }));
}
