import { mm } from '../format';
import { n } from '../sentences/parts';
import type { CheckWords } from './words';

export const e26: CheckWords = {
  title: 'Cable held',
  sentences: {
    'e26.bend': (f) =>
      `A bend of ${mm(n(f, 'radiusMm'))} radius; a sheath of ${mm(n(f, 'sheathMm'))} bears no less than ${mm(n(f, 'leastMm'))}.`,
  },
};
