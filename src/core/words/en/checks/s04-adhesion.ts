import type { CheckWords } from './words';

export const s04: CheckWords = {
  title: 'Adhesion',
};
