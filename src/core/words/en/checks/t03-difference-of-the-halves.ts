import { block, side, peeled } from '../sentences/transit';
import { n } from '../sentences/parts';
import type { CheckWords } from './words';

export const t03: CheckWords = {
  title: 'Difference of the halves',
  sentences: {
    't03.unread': (f) => `${block(f)}: the layers ${side(f)}are not counted.`,
    't03.difference': (f) =>
      `${block(f)}: ${side(f)}${peeled(f)}; the halves may differ by ${n(f, 'difference')}.`,
    't03.alike': (f) => `Both halves are peeled alike on every side (${n(f, 'count')}).`,
  },
};
