import { type Check } from '../check';
import { bothSides } from '../blocks';
import { rule } from '../sealant-openings';

/** Both sides are closed, as the sheet asks. */
export const s05: Check = rule(
  { id: 'S-05', place: 'both-sides', basis: { 'iec-2013': 'IEC 60079-14:2013, 9.6.4; assembly sheet' } },
  (context) => [bothSides(context)],
);
