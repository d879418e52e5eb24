import { type Check } from '../check';
import { judgeLook } from '../look';
import { rule } from '../sealant-openings';

/** What lies behind the sealant was looked at before it was closed. */
export const s06: Check = rule(
  {
    id: 'S-06',
    place: 'sleeves-behind',
    basis: { 'iec-2013': 'Assembly sheet, sleeves behind the sealant', certificate: true },
  },
  (context) => [judgeLook(context, 'sleeves-behind')],
  'detailed',
);
