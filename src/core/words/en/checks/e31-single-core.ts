import { n, s } from '../sentences/parts';
import { mm } from '../format';
import type { CheckWords } from './words';

export const e31: CheckWords = {
  title: 'Single-core precautions',
  sentences: {
    'e31.several': (f) => `Cable ${s(f, 'cable')} has ${n(f, 'cores')} cores, so no phase runs alone.`,
    'e31.steel': (f) =>
      `The one core of cable ${s(f, 'cable')} runs in steel ${s(f, 'type')} armour of ${mm(n(f, 'sizeMm'))}: ferrous metal closes round it.`,
  },
};
