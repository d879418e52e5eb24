import type { CheckWords } from './words';

export const s06: CheckWords = {
  title: 'Behind the sealant',
};
