import { type Check } from '../check';
import { isFlameproof } from '../dossier';
import { judgeLook } from '../look';

/** Cable, device and wall undamaged. */
export const e29: Check = {
  id: 'E-29',
  kinds: () => true,
  basis: { 'iec-2013': 'IEC 60079-17:2013, Table 1, damage and environment' },
  grade: 'visual',
  hazard: 'explosion',
  place: 'damage',
  consequence: (context) => (isFlameproof(context) ? 4 : 2),
  run: (context) => [judgeLook(context, 'damage')],
};
