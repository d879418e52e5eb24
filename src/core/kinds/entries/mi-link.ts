import * as looks from '../looks';
import * as places from '../places';
import * as steps from '../steps';
import { mineral, MINERAL_LOOKS, MINERAL_PLACES, OPENED, READY, SEALED } from './base-mineral';

export const miLink = mineral({
  id: 'mi-link',
  link: true,
  parts: [steps.FAR_SHROUD, steps.SHROUD_PART, steps.BACK_NUT_MI, steps.COMPRESSION, steps.GLAND_BODY],
  places: [...MINERAL_PLACES, places.SHEATH_LENGTH],
  looks: [...MINERAL_LOOKS, looks.FACING],
  steps: [
    ...READY, steps.FIRST_END, steps.CUT_TO_LENGTH, steps.JACKET, steps.SQUARE, steps.MARK, steps.SHROUDS_ON, ...OPENED, ...SEALED,
    steps.COVER,
  ], // prettier-ignore
});
