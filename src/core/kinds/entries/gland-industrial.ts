import * as looks from '../looks';
import * as places from '../places';
import * as steps from '../steps';
import { AROUND, armoured, CONE, CUT, SEEN, STRIPPED, THREAD } from './base-armoured';

export const glandIndustrial = armoured({
  id: 'gland-industrial',
  parts: [steps.SHROUD_PART, steps.BACK_NUT, steps.TAG_PART],
  places: [...CONE, places.OUTER, ...THREAD, places.SUPPORT, places.BOND],
  looks: [...SEEN, looks.SEATED, ...CUT, ...AROUND, looks.BOND_PATH],
  steps: [
    ...steps.BEFORE, ...STRIPPED, steps.SPREAD, steps.FINGER_TIGHT, steps.NUT_INDUSTRIAL,
    steps.HELD, steps.TAG_BOLTED, steps.COVER,
  ], // prettier-ignore
  joints: ['entry', 'clamp', 'outer-seal'],
  inner: 'none',
  certified: false,
  drawing: 'industrial',
});
