import * as looks from '../looks';
import { transit, TRANSIT_LOOKS } from './base-transit';

export const transitCabinet = transit({
  id: 'transit-cabinet',
  wall: 'enclosure',
  looks: [...TRANSIT_LOOKS, looks.RELAXED, looks.UNUSED],
});
