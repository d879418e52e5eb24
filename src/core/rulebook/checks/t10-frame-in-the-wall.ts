import { type Check, saying } from '../check';
import { asksFor } from '../grades';
import { judgeLook } from '../look';

/** What it says, and the facts of each. */
type Says = {
  't10.unseen-why': { reason: string };
  't10.unseen': { reason: string };
};
const { conforms, unread } = saying<Says>();

/** The frame is fixed and sealed to the wall; what cannot be seen from here is asked when it is opened. */
export const t10: Check = {
  id: 'T-10',
  kinds: ({ transit }) => transit !== null,
  basis: { 'iec-2013': 'IEC 60079-14:2013, 9.6.4; IEC 60079-17:2013, Table 1, damage and environment' },
  grade: 'close',
  hazard: 'explosion',
  place: 'frame-fixed',
  consequence: () => 3,
  run(context) {
    const given = context.looks.get('frame-fixed');
    if (given?.answer !== 'unseen') return [judgeLook(context, 'frame-fixed')];
    const facts = { reason: given.note.trim() };
    if (facts.reason === '') return [unread('t10.unseen-why', facts, 'settle.evidence')];
    return [
      asksFor(context.grade, 'detailed')
        ? unread('t10.unseen', facts, 'settle.open-look')
        : { ...conforms('t10.unseen', facts), outcome: 'not-applicable' },
    ];
  },
};
