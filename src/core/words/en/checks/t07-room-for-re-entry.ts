import { count } from '../format';
import { n } from '../sentences/parts';
import type { CheckWords } from './words';

export const t07: CheckWords = {
  title: 'Room for re-entry',
  sentences: {
    't07.room': (f) => `${count(n(f, 'count'), 'spare block')} for further cables.`,
    't07.none': () => 'No spare block is left: one more cable cannot be taken in.',
  },
};
