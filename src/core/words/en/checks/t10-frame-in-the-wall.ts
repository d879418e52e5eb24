import { s, stop } from '../sentences/parts';
import type { CheckWords } from './words';

export const t10: CheckWords = {
  title: 'Frame in the wall',
  sentences: {
    't10.unseen': (f) => `Frame in the wall: cannot be seen from here: ${stop(s(f, 'reason'))}`,
    't10.unseen-why': () => 'Frame in the wall: said to be out of sight, without the reason.',
  },
};
