import type { CheckWords } from './words';

export const e18b: CheckWords = {
  title: 'Clamp, inner seal and pot closed',
};
