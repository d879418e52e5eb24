import type { Check } from '../check';
import { judgeJoints } from '../joints';

/** Joints that can be reached from outside, each closed by its school. */
export const e18a: Check = {
  id: 'E-18a',
  kinds: ({ transit }) => transit === null,
  basis: { 'iec-2013': 'IEC 60079-14:2013, 10.2; assembly sheet', certificate: true },
  grade: 'close',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run: (context) => judgeJoints(context, ['entry', 'outer-seal', 'resin-port']),
};
