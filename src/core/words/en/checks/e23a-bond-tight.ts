import { s } from '../sentences/parts';
import type { CheckWords } from './words';

export const e23a: CheckWords = {
  title: 'Bond and tag',
  sentences: {
    'e23a.material-unknown': (f) =>
      `Whether ${s(f, 'tag')} is of metal or insulating is not recorded; on an insulating box the tag ring has to be bonded.`,
  },
};
