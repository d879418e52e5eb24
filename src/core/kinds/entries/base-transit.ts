import type { Kind } from '../kind';
import * as looks from '../looks';
import * as steps from '../steps';
import { armoured, type Rest } from './base-armoured';

export const TRANSIT_LOOKS = [
  looks.APPROVAL,
  looks.BOTH_SIDES,
  looks.FROM_FACE,
  looks.STRAIGHT,
  looks.FRAME_FIXED,
  looks.UNALTERED,
  looks.DAMAGE,
];
export const READY = [steps.SAFE, steps.LAY_OUT];
export const ENDED = [steps.THROUGH, steps.OTHER_SIDE, steps.BOLTS_AGAIN];
const PACKED = [
  ...READY, ...steps.OF_ONE_CABLE, steps.FRAME_CLEAN, steps.FRAME_LUBED, steps.PEEL_BLOCKS, steps.LUBRICATE, steps.ROWS, steps.PLATES, steps.WEDGE, ...ENDED,
]; // prettier-ignore

/** A frame with many cables between rubber blocks, or in sealant. */
export const transit = (rest: Rest): Kind =>
  armoured({
    parts: [],
    places: [],
    looks: [...TRANSIT_LOOKS, looks.RELAXED],
    steps: PACKED,
    joints: [],
    ring: 'none',
    armour: 'none',
    inner: 'none',
    transit: 'blocks',
    wall: 'building',
    drawing: 'transit',
    ...rest,
  });
