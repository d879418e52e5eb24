import type { Check } from '../check';
import { judgeJoints } from '../joints';

/** Joints that can be reached from outside, each closed by its school. */
export const e18a: Check = {
  id: 'E-18a',
  title: 'Outer joints closed',
  grade: 'close',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run: (context) => judgeJoints(context, ['entry', 'outer-seal', 'resin-port']),
};

/** Joints that the closed entry hides, each closed by its school. */
export const e18b: Check = {
  id: 'E-18b',
  title: 'Clamp, inner seal and pot closed',
  grade: 'detailed',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run: (context) => judgeJoints(context, ['clamp', 'inner-seal', 'pot']),
};
