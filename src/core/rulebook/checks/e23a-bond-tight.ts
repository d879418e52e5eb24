import { type Check } from '../check';
import { judgeLook } from '../look';

/** Bond and tag present and tight. */
export const e23a: Check = {
  id: 'E-23a',
  title: 'Bond and tag',
  grade: 'visual',
  hazard: 'shock',
  place: 'bond-tight',
  consequence: () => 3,
  run: (context) => [judgeLook(context, 'bond-tight')],
};
