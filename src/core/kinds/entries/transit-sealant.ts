import * as looks from '../looks';
import * as steps from '../steps';
import { transit, TRANSIT_LOOKS } from './base-transit';

export const transitSealant = transit({
  id: 'transit-sealant',
  looks: [
    ...TRANSIT_LOOKS.filter(({ id }) => id !== 'transit-cables' && id !== 'from-face'),
    looks.ADHESION,
    looks.BEHIND,
  ],
  steps: [steps.FRAME_CLEAN, steps.CLEAN_DRY, steps.WRAP, steps.SEAL_FACE, steps.HOLDS, steps.OTHER_SIDE],
  transit: 'sealant',
});
