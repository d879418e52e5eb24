import * as looks from '../looks';
import * as places from '../places';
import * as steps from '../steps';
import { AROUND, armoured, CUT, SEEN, THREAD } from './base-armoured';

export const connectorResin = armoured({
  id: 'connector-resin',
  parts: [steps.SHROUD_PART, steps.BACK_NUT],
  places: [places.OVER_CORES, places.OVER_ARMOUR, places.OUTER, ...THREAD, places.SUPPORT, places.BOND],
  looks: [...SEEN, looks.DAM, looks.GROMMET, ...CUT, ...AROUND, looks.BOND_PATH],
  steps: [
    steps.STRIP_OUTER, steps.CUT_ARMOUR_SHORT, steps.CORES_APART, steps.MEASURE, steps.BODY_IN, steps.ARMOUR_IN, steps.INJECT,
    steps.RESIN_CURE, steps.OUTER_GRIP, steps.TAG_BOND, steps.COVER,
  ], // prettier-ignore
  joints: ['entry', 'outer-seal', 'resin-port'],
  ring: 'none',
  armour: 'gripped',
  inner: 'none',
  pot: 'resin',
  drawing: 'resin',
});
