import { s, n } from '../sentences/parts';
import { mm } from '../format';
import type { CheckWords } from './words';

export const e24: CheckWords = {
  title: 'Shroud and weather side',
  sentences: {
    'e24.weather-unknown': (f) => `Whether ${s(f, 'area')} stands in the weather is not recorded.`,
    'e24.sheet-asks': (f) =>
      `No ${s(f, 'what')} is on the gland${f.acrossMm === null ? '' : ` of ${mm(n(f, 'acrossMm'))} across`}; sheet ${s(f, 'sheet')} asks for one.`,
    'e24.deluge': (f) => `No boot is on the gland, and ${s(f, 'area')} is under deluge.`,
  },
};
