import * as looks from '../looks';
import * as places from '../places';
import * as steps from '../steps';
import { AROUND, armoured, before, CUT, OPENED_UP, OUTSIDE, SEEN, THREAD } from './base-armoured';

export const glandBarrierPlain = armoured({
  id: 'gland-barrier-plain',
  parts: [steps.SHROUD_PART, steps.BACK_NUT],
  places: [places.OVER_CORES, ...OUTSIDE, ...THREAD, places.REACH, places.SUPPORT],
  looks: [...SEEN, looks.VOIDS, looks.WITNESS, looks.SPIGOT, ...CUT, ...AROUND],
  steps: [
    ...before(steps.POT_OUT), ...OPENED_UP, steps.STRIP_OUTER_PLAIN, steps.CORES_APART, steps.MEASURE, steps.HOLD_SPIGOT, steps.BODY_IN,
    steps.MIX, steps.PACK, steps.POT_OVER, steps.CURE_LOOK, ...steps.MENDED, steps.POT_SHUT_SPIGOT, steps.OUTER_SHUT, steps.HELD,
    steps.BOND_ONLY, steps.COVER,
  ], // prettier-ignore
  joints: ['entry', 'pot', 'outer-seal'],
  ring: 'none',
  armour: 'none',
  inner: 'none',
  pot: 'compound',
});
