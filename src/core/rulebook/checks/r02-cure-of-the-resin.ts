import type { Check } from '../check';
import { judgePours } from '../judge-pour';
import { weight } from '../resin-weight';

/** Batch, expiry, ratio and working life of the resin, and its cure. */
export const r02: Check = {
  id: 'R-02',
  kinds: ({ pot }) => pot === 'resin',
  basis: { 'iec-2013': 'Assembly sheet, cure of the resin', certificate: true },
  grade: 'detailed',
  hazard: 'explosion',
  place: null,
  consequence: weight,
  run: (context) => judgePours(context, 'resin'),
};
