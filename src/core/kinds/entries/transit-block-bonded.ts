import * as looks from '../looks';
import * as steps from '../steps';
import { PACKED, transit, TRANSIT_LOOKS } from './base-transit';

export const transitBlockBonded = transit({
  id: 'transit-block-bonded',
  looks: [...TRANSIT_LOOKS, looks.RELAXED, looks.BRAID, looks.BOND_PATH],
  steps: [...PACKED.slice(0, 2), steps.FOLD_BRAID, ...PACKED.slice(2)],
  transit: 'bonded',
});
