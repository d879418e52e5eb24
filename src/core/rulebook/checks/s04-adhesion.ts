import { type Check } from '../check';
import { judgeLook } from '../look';
import { rule } from '../sealant-openings';

/** It holds to cables and wall. */
export const s04: Check = rule(
  { id: 'S-04', place: 'adhesion', basis: { 'iec-2013': 'Assembly sheet, adhesion' } },
  (context) => [judgeLook(context, 'adhesion')],
);
