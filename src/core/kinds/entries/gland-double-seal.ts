import * as steps from '../steps';
import { armoured, FINISHED, STRIPPED } from './base-armoured';

/** The seal nut is closed against the cone before the ring goes over: nothing is kept out for the dry fit. */
export const glandDoubleSeal = armoured({
  id: 'gland-double-seal',
  steps: [
    ...steps.BEFORE, ...STRIPPED, steps.SPREAD, steps.SEAL_NUT, steps.DRY_CLAMP, steps.CLAMP_SHUT, ...FINISHED,
  ], // prettier-ignore
});
