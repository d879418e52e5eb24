import { jointGrade } from '../../kinds/joints';
import type { Check } from '../check';
import { judgeJoints } from '../joints';

/** Joints that the closed entry hides, each closed by its school. */
export const e18b: Check = {
  id: 'E-18b',
  kinds: ({ joints }) => joints.some((joint) => jointGrade(joint) === 'detailed'),
  basis: { 'iec-2013': 'IEC 60079-14:2013, 10.2; assembly sheet', certificate: true },
  grade: 'detailed',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run: (context) => judgeJoints(context, ['clamp', 'inner-seal', 'pot']),
};
