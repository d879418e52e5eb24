import type { CheckWords } from './words';

export const r03: CheckWords = {
  title: 'Armour and grommet nut',
};
