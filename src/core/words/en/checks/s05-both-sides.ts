import type { CheckWords } from './words';

export const s05: CheckWords = {
  title: 'Both sides',
};
