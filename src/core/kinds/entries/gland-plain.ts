import * as places from '../places';
import * as steps from '../steps';
import { AROUND, armoured, CUT, OPENED_UP, OUTSIDE, SEEN, THREAD } from './base-armoured';

export const glandPlain = armoured({
  id: 'gland-plain',
  parts: [steps.SHROUD_PART, steps.BACK_NUT],
  places: [places.INNER, ...OUTSIDE, ...THREAD, places.INNER_PROUD, places.SUPPORT],
  looks: [...SEEN, ...CUT, ...AROUND],
  steps: [
    ...steps.BEFORE, ...OPENED_UP, steps.STRIP_OUTER_PLAIN, steps.MEASURE, steps.BODY_IN, { ...steps.INNER_BACK, words: 'inner-plain', back: [] },
    { ...steps.OUTER_SHUT, words: 'outer-plain' }, steps.HELD, steps.BOND_ONLY, steps.COVER,
  ], // prettier-ignore
  joints: ['entry', 'inner-seal', 'outer-seal'],
  ring: 'none',
  armour: 'none',
});
