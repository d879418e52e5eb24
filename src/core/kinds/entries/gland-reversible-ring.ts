import * as steps from '../steps';
import { armoured, SLEEVES } from './base-armoured';

export const glandReversibleRing = armoured({
  id: 'gland-reversible-ring',
  parts: [...SLEEVES, steps.RING_TURNED],
  ring: 'reversible',
});
