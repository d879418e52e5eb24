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
    ...steps.BEFORE, steps.UNDO_UNION, steps.LOOK_OPEN, steps.HUB_IN, steps.HUB_LOOSE, steps.CUT_JACKET_ARMOUR, steps.JACKET_BACK, steps.CORES_BUNDLED, steps.MEASURE,
    steps.GROMMET_ON, steps.ARMOUR_IN, steps.GROMMET_SHUT,
    steps.FIBRE, steps.INJECT, steps.RESIN_CURE, steps.UNION, steps.HELD, steps.TAG_BOND, steps.COVER,
  ], // prettier-ignore
  joints: ['entry', 'outer-seal', 'resin-port'],
  ring: 'none',
  armour: 'gripped',
  inner: 'none',
  pot: 'resin',
  drawing: 'resin',
});
