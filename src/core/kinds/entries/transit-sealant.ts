import * as looks from '../looks';
import * as steps from '../steps';
import { READY, transit, TRANSIT_LOOKS } from './base-transit';

export const transitSealant = transit({
  id: 'transit-sealant',
  looks: [
    ...TRANSIT_LOOKS.filter(({ id }) => id !== 'transit-cables' && id !== 'from-face'),
    looks.ADHESION,
    looks.BEHIND,
  ],
  steps: [
    ...READY, steps.CLOSE_OFF, steps.TAKE_CUT, steps.PUT_PUNCH, steps.TAKE_SEAL, steps.FRAME_CLEAN, steps.TIES_CUT, steps.CLEAN_DRY, steps.WRAP, steps.PUSH_IN, steps.SEAL_FACE, steps.HOLDS, steps.OTHER_SIDE,
  ], // prettier-ignore
  transit: 'sealant',
});
