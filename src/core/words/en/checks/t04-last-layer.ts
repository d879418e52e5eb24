import { block, side, peeled } from '../sentences/transit';
import { n } from '../sentences/parts';
import type { CheckWords } from './words';

export const t04: CheckWords = {
  title: 'Last layer',
  sentences: {
    't04.unread': (f) => `${block(f)}: the layers ${side(f)}are not counted.`,
    't04.last-layer': (f) => `${block(f)}: ${side(f)}${peeled(f)}: the layer that must stay is gone.`,
    't04.stays': (f) => `The layers that must stay are there on every side (${n(f, 'count')}).`,
  },
};
