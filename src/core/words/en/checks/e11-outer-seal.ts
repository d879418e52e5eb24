import type { CheckWords } from './words';

export const e11: CheckWords = {
  title: 'Outer seal',
};
