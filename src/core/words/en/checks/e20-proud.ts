import { s } from '../sentences/parts';
import type { CheckWords } from './words';

export const e20: CheckWords = {
  title: 'Inner sheath and conductors',
  sentences: {
    'e20.no-length': (f) =>
      `Sheet ${s(f, 'sheet')} does not say how far the inner sheath of size ${s(f, 'size')} stands proud.`,
  },
};
