import { coreCount } from '../../kinds/situation';
import { blank, type Check, type None, saying } from '../check';
import { judgeLook } from '../look';

/** What it says, and the facts of each. */
type Says = {
  'cable.none': None;
  'e31.several': { cable: string; cores: number };
  'e31.steel': { cable: string; type: string; sizeMm: number | null };
};
const { fails, unread, notApplicable } = saying<Says>();

/** One phase conductor alone: no ferrous ring closes round it, and the sheath is bonded as designed. */
export const e31: Check = {
  id: 'E-31',
  kinds: ({ transit }) => transit === null,
  basis: { 'iec-2013': 'IEC 60079-14:2013, 9.3; single-core cables' },
  grade: 'close',
  hazard: 'explosion',
  place: 'single-core',
  consequence: () => 3,
  run(context) {
    const { cable } = context;
    const cores = coreCount(context);
    if (!cable) return [unread('cable.none', {}, 'settle.cable')];
    if (cores === null) return [blank('cores', cable.tag, 'settle.cable')];
    if (cores > 1) return [notApplicable('e31.several', { cable: cable.tag, cores })];
    const look = judgeLook(context, 'single-core');
    if (cable.armour?.material === null)
      return [blank('material-of-the-armour', cable.tag, 'settle.cable'), look];
    if (cable.armour?.material !== 'steel') return [look];
    const { type, sizeMm } = cable.armour;
    return [fails('e31.steel', { cable: cable.tag, type, sizeMm }), look];
  },
};
