import type { CheckWords } from './words';

export const e14: CheckWords = {
  title: 'Armour seated',
};
