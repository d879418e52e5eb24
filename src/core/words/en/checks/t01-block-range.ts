import { block, side } from '../sentences/transit';
import { mm, count } from '../format';
import { n, s } from '../sentences/parts';
import type { CheckWords } from './words';

export const t01: CheckWords = {
  title: 'Block range',
  sentences: {
    't01.unread': (f) => `${block(f)}: its diameter ${side(f)}is not known.`,
    't01.range': (f) =>
      `${block(f)}: ${side(f)}${mm(n(f, 'meanMm'))} ± ${mm(n(f, 'uncertaintyMm'))} is no diameter that its block takes.`,
    't01.takes': (f) =>
      `Every cable lies in a block that takes it (${count(n(f, 'count'), 'side')} looked at).`,
    't01.shape': (f) =>
      `${block(f)} is ${s(f, 'shape')}; the bores of this system take ${s(f, 'shapes')} cable.`,
  },
};
