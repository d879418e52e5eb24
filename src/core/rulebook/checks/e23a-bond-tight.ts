import { type Check, saying } from '../check';
import { kindOf } from '../dossier';
import { judgeLook } from '../look';

/** What it says, and the facts of each. */
type Says = {
  'e23a.material-unknown': { tag: string };
};
const { unread } = saying<Says>();

/** Bond and tag present and tight. */
export const e23a: Check = {
  id: 'E-23a',
  kinds: ({ transit }) => transit === null,
  basis: { 'iec-2013': 'IEC 60079-17:2013, Table 1, earthing' },
  grade: 'visual',
  hazard: 'shock',
  place: 'bond-tight',
  consequence: () => 3,
  run(context) {
    const look = judgeLook(context, 'bond-tight');
    // On an insulating box only the tag ring of an ordinary gland earths the armour.
    if (kindOf(context).certified || context.enclosure.material !== null) return [look];
    return [look, unread('e23a.material-unknown', { tag: context.enclosure.tag }, 'settle.enclosure')];
  },
};
