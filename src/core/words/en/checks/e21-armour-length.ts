import { s } from '../sentences/parts';
import type { CheckWords } from './words';

export const e21: CheckWords = {
  title: 'Armour length',
  sentences: {
    'e21.no-length': (f) => `Sheet ${s(f, 'sheet')} gives size ${s(f, 'size')} no length of armour.`,
  },
};
