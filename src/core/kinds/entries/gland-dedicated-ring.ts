import * as looks from '../looks';
import * as steps from '../steps';
import { AROUND, armoured, before, CUT, FINISHED, SEEN, SLEEVES, STRIPPED } from './base-armoured';

export const glandDedicatedRing = armoured({
  id: 'gland-dedicated-ring',
  parts: [...SLEEVES, steps.RING_OWN],
  looks: [...SEEN, looks.SEATED, looks.RING, ...CUT, ...AROUND, looks.BOND_PATH],
  steps: [
    ...before(steps.SEAL_OUT), ...STRIPPED, steps.RING_WAY, steps.SPREAD, steps.DRY_CLAMP, steps.INNER_BACK,
    steps.CLAMP_SHUT, ...FINISHED,
  ], // prettier-ignore
  ring: 'dedicated',
});
