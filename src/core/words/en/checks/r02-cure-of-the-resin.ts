import type { CheckWords } from './words';

export const r02: CheckWords = {
  title: 'Cure of the resin',
};
