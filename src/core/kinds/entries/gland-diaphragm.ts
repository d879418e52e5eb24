import * as looks from '../looks';
import * as steps from '../steps';
import { AROUND, armoured, CUT, FINISHED, SEEN, STRIPPED } from './base-armoured';

export const glandDiaphragm = armoured({
  id: 'gland-diaphragm',
  looks: [...SEEN, looks.SEATED, looks.DIAPHRAGM, ...CUT, ...AROUND, looks.BOND_PATH],
  steps: [...STRIPPED, steps.SPREAD, steps.DRY_CLAMP, steps.LIP_BACK, steps.CLAMP_SHUT, ...FINISHED],
  joints: ['entry', 'clamp', 'outer-seal'],
  inner: 'diaphragm',
});
