import { ofBlocks } from '../blocks';
import { type Check } from '../check';
import { judgeLook } from '../look';

/** Lubricated, straight, held on both sides. */
export const t08: Check = {
  id: 'T-08',
  kinds: ofBlocks,
  basis: { 'iec-2013': 'IEC 60079-14:2013, 9.3 and 9.6.4; assembly sheet' },
  grade: 'close',
  hazard: 'explosion',
  place: 'transit-cables',
  consequence: () => 2,
  run: (context) => [judgeLook(context, 'transit-cables')],
};
