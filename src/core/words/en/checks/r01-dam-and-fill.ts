import type { CheckWords } from './words';

export const r01: CheckWords = {
  title: 'Dam and fill',
};
