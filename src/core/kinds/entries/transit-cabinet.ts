import * as looks from '../looks';
import * as steps from '../steps';
import { ENDED, READY, transit, TRANSIT_LOOKS } from './base-transit';

export const transitCabinet = transit({
  id: 'transit-cabinet',
  wall: 'enclosure',
  steps: [
    ...READY, ...steps.OF_ONE_CABLE, steps.FRAME_OUTSIDE, steps.CABLES_IN, steps.PEEL_BLOCKS, steps.LUBRICATE, steps.BLOCKS_TURNED, steps.UNITS_HOME, ...ENDED,
  ], // prettier-ignore
  looks: [...TRANSIT_LOOKS, looks.RELAXED, looks.UNUSED],
});
