import * as looks from '../looks';
import * as steps from '../steps';
import { AROUND, armoured, CUT, SEEN, SLEEVES } from './base-armoured';

export const glandDedicatedRing = armoured({
  id: 'gland-dedicated-ring',
  parts: [...SLEEVES, steps.RING_OWN],
  looks: [...SEEN, looks.SEATED, looks.RING, ...CUT, ...AROUND, looks.BOND_PATH],
  ring: 'dedicated',
});
