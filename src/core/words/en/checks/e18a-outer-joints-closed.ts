import type { CheckWords } from './words';

export const e18a: CheckWords = {
  title: 'Outer joints closed',
};
