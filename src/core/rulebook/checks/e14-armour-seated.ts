import { type Check } from '../check';
import { judgeLook } from '../look';

/** Clamp opened again and looked at: the armour lies on the cone all round. */
export const e14: Check = {
  id: 'E-14',
  kinds: ({ armour }) => armour === 'cone',
  basis: { 'iec-2013': 'IEC 60079-14:2013, 10.2; IEC 60079-17:2013, Table 1, entry devices' },
  grade: 'detailed',
  // The armour is the earth path too: what is not seated may not carry the fault.
  hazard: 'explosion',
  shock: () => true,
  place: 'armour-seated',
  consequence: () => 3,
  run: (context) => [judgeLook(context, 'armour-seated')],
};
