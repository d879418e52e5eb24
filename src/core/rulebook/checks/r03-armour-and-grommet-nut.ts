import type { Check } from '../check';
import { judgeLook } from '../look';
import { weight } from '../resin-weight';

/** The armour is engaged, and only the grommet nut was turned afterwards. */
export const r03: Check = {
  id: 'R-03',
  kinds: ({ pot }) => pot === 'resin',
  basis: { 'iec-2013': 'Assembly sheet, armour and grommet nut', certificate: true },
  grade: 'detailed',
  hazard: 'explosion',
  place: 'grommet-nut',
  consequence: weight,
  run: (context) => [judgeLook(context, 'grommet-nut')],
};
