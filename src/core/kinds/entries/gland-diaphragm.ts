import * as looks from '../looks';
import * as steps from '../steps';
import { AROUND, armoured, CUT, FINISHED, SEEN, STRIPPED } from './base-armoured';

export const glandDiaphragm = armoured({
  id: 'gland-diaphragm',
  looks: [...SEEN, looks.SEATED, looks.DIAPHRAGM, ...CUT, ...AROUND, looks.BOND_PATH],
  steps: [
    ...steps.BEFORE, ...STRIPPED, steps.CAP_ON, steps.SPREAD, steps.LIP_BACK, steps.CAP_OFF, steps.DRY_CLAMP,
    steps.CLAMP_SHUT_PROUD, ...FINISHED,
  ], // prettier-ignore
  joints: ['entry', 'clamp', 'outer-seal'],
  inner: 'diaphragm',
});
