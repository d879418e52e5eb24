import type { CheckWords } from './words';

export const e29: CheckWords = {
  title: 'Damage',
};
