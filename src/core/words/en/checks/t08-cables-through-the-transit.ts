import type { CheckWords } from './words';

export const t08: CheckWords = {
  title: 'Cables through the transit',
};
