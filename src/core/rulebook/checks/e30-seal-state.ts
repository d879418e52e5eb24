import { type Check } from '../check';
import { isFlameproof } from '../dossier';
import { judgeLook } from '../look';

/** The seal is the original, soft, uncut and not used again against its sheet; the sheath is not necked. */
export const e30: Check = {
  id: 'E-30',
  kinds: ({ transit, mineral }) => transit === null && !mineral,
  basis: { 'iec-2013': 'IEC 60079-17:2013, Table 1, condition of seals; assembly sheet' },
  grade: 'detailed',
  hazard: 'explosion',
  place: 'seal-state',
  consequence: (context) => (isFlameproof(context) ? 4 : 2),
  run: (context) => [judgeLook(context, 'seal-state')],
};
