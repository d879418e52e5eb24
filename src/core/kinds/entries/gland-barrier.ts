import * as looks from '../looks';
import * as places from '../places';
import * as steps from '../steps';
import {
  AROUND,
  armoured,
  before,
  CONE,
  CUT,
  FINISHED,
  OUTSIDE,
  SEEN,
  STRIPPED,
  THREAD,
} from './base-armoured';

export const glandBarrier = armoured({
  id: 'gland-barrier',
  places: [
    places.OVER_CORES, ...CONE, ...OUTSIDE, ...THREAD, places.REACH, places.SUPPORT, places.BOND,
  ], // prettier-ignore
  looks: [...SEEN, looks.SEATED, looks.VOIDS, looks.WITNESS, ...CUT, ...AROUND, looks.BOND_PATH],
  steps: [
    ...before(steps.POT_OUT), ...STRIPPED, steps.SPREAD, steps.DRY_CLAMP, steps.CORES_APART, steps.MIX, steps.PACK,
    steps.POT_OVER, steps.CURE_LOOK, ...steps.MENDED, steps.POT_SHUT, steps.CLAMP_SHUT, ...FINISHED,
  ], // prettier-ignore
  joints: ['entry', 'clamp', 'pot', 'outer-seal'],
  inner: 'none',
  pot: 'compound',
});
