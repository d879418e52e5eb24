import * as looks from '../looks';
import * as steps from '../steps';
import { ENDED, READY, transit, TRANSIT_LOOKS } from './base-transit';

export const transitBlockBonded = transit({
  id: 'transit-block-bonded',
  looks: [...TRANSIT_LOOKS, looks.RELAXED, looks.BRAID, looks.ARMOUR_PAST, looks.BOND_PATH],
  steps: [
    ...READY, ...steps.OF_ONE_CABLE, steps.FRAME_CLEAN, steps.FRAME_BARE, steps.EARTH_LEAD, steps.BLOCK_MARKS, steps.PEEL_BLOCKS, steps.FOLD_BRAID,
    { ...steps.LUBRICATE, words: 'lubricate-rubber' }, steps.ROWS, steps.PLATES, steps.WEDGE_CROSSWISE, steps.RESISTANCE, ...ENDED,
  ], // prettier-ignore
  transit: 'bonded',
});
