import { type Check } from '../check';
import { isFlameproof } from '../dossier';
import { judgeLook } from '../look';

/** Cable, device and wall undamaged. */
export const e29: Check = {
  id: 'E-29',
  title: 'Damage',
  grade: 'visual',
  hazard: 'explosion',
  place: 'damage',
  consequence: (context) => (isFlameproof(context) ? 4 : 2),
  run: (context) => [judgeLook(context, 'damage')],
};
