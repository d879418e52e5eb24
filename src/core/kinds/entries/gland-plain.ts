import * as places from '../places';
import * as steps from '../steps';
import { AROUND, armoured, CUT, OUTSIDE, SEEN, THREAD } from './base-armoured';

export const glandPlain = armoured({
  id: 'gland-plain',
  parts: [steps.SHROUD_PART, steps.BACK_NUT],
  places: [places.INNER, ...OUTSIDE, ...THREAD, places.INNER_PROUD, places.SUPPORT],
  looks: [...SEEN, ...CUT, ...AROUND],
  steps: [
    steps.STRIP_OUTER,
    steps.MEASURE,
    steps.BODY_IN,
    steps.INNER_BACK,
    steps.OUTER_SHUT,
    steps.BOND_ONLY,
    steps.COVER,
  ],
  joints: ['entry', 'inner-seal', 'outer-seal'],
  ring: 'none',
  armour: 'none',
});
