import type { CheckWords } from './words';

export const e30: CheckWords = {
  title: 'State of the seal',
};
