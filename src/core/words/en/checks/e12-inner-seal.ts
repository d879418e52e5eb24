import { s, n } from '../sentences/parts';
import { mm } from '../format';
import type { CheckWords } from './words';

export const e12: CheckWords = {
  title: 'Inner seal or pot',
  sentences: {
    'e12.no-range': (f) =>
      `Sheet ${s(f, 'sheet')} does not say what the inner seal of size ${s(f, 'size')} takes.`,
    'e12.no-pot': (f) => `Sheet ${s(f, 'sheet')} gives size ${s(f, 'size')} no pot.`,
    'e12.too-many-cores': (f) =>
      `The pot of ${mm(n(f, 'boreMm'))} takes ${n(f, 'most')} cores at most; the cable has ${n(f, 'cores')}.`,
    'e12.cores': (f) =>
      `The pot of ${mm(n(f, 'boreMm'))} takes ${n(f, 'most')} cores; the cable has ${n(f, 'cores')}.`,
    'e12.no-seal': (f) => `Sheet ${s(f, 'sheet')} gives size ${s(f, 'size')} no inner seal.`,
  },
};
