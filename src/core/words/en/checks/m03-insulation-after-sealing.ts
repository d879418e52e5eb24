import type { CheckWords } from './words';

export const m03: CheckWords = {
  title: 'Insulation after sealing',
};
