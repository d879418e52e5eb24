import { asksFor } from '../grades';
import { unread, type Check } from '../check';
import { judgeValues } from '../judge-value';
import { judgeLook } from '../look';
import { valueTaskOf } from '../value-task';

/** The cable is held near the gland, bent no tighter than it may and does not pull; clamped where the gland does not hold it. */
export const e26: Check = {
  id: 'E-26',
  title: 'Cable held',
  grade: 'visual',
  hazard: 'explosion',
  place: 'cable-held',
  consequence: () => 2,
  run(context) {
    const look = judgeLook(context, 'cable-held');
    const { certificate, grade } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate'), look];
    // The distance asks for a rule, which a look from below does not have.
    if (!certificate.reducedRetention || !asksFor(grade, 'close')) return [look];
    const distance = judgeValues(context, valueTaskOf(context, 'support-distance')!);
    return [...distance, look];
  },
};
