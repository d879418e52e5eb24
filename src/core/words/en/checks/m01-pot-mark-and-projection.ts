import { mm } from '../format';
import { n, s } from '../sentences/parts';
import type { CheckWords } from './words';

export const m01: CheckWords = {
  title: 'Pot mark and projection',
  sentences: {
    'm01.no-pot': (f) => `Sheet ${s(f, 'sheet')} says nothing about the pot of size ${s(f, 'size')}.`,
    'm01.no-stub': (f) =>
      `Cable ${s(f, 'cable')} is screened; the pot of size ${s(f, 'size')} has no place for its screen.`,
    'm01.no-tail': (f) => `The sheet allows tails of ${mm(n(f, 'longestMm'))}; theirs is not recorded.`,
    'm01.tail': (f) =>
      `The tails are ${mm(n(f, 'tailMm'))} long; the sheet allows ${mm(n(f, 'longestMm'))} at most.`,
    'm01.no-path': (f) => `The path that cable ${s(f, 'cable')} has to fit is not recorded.`,
  },
};
