import * as steps from '../steps';
import { armoured, before, FINISHED, SLEEVES, STRIPPED } from './base-armoured';

export const glandReversibleRing = armoured({
  id: 'gland-reversible-ring',
  parts: [...SLEEVES, steps.RING_TURNED],
  steps: [
    ...before(steps.SEAL_OUT), ...STRIPPED, steps.RING_FACE, steps.SPREAD, steps.DRY_CLAMP, steps.INNER_BACK,
    steps.CLAMP_SHUT, { ...FINISHED[0]!, seen: ['formed', 'nut-scale'] }, ...FINISHED.slice(1),
  ], // prettier-ignore
  ring: 'reversible',
});
