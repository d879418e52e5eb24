import { block, side, peeled } from '../sentences/transit';
import { mm } from '../format';
import type { Facts } from '../../../record/finding';
import { n, range, s } from '../sentences/parts';
import type { CheckWords } from './words';

const right = (f: Facts) =>
  f.right === null ? 'no number of layers fits this block' : `${s(f, 'right')} would be right`;

export const t02: CheckWords = {
  title: 'Peeling',
  sentences: {
    't02.unread': (f) => `${block(f)}: the layers ${side(f)}are not counted.`,
    't02.wide': (f) =>
      `${block(f)}: ${side(f)}${peeled(f)} leave a gap of ${mm(n(f, 'gapMm'))}; ${range(f)} is asked for, so more must come out; ${right(f)}.`,
    't02.tight': (f) =>
      `${block(f)}: ${side(f)}${peeled(f)} ${n(f, 'gapMm') < 0 ? `leave a bore ${mm(-n(f, 'gapMm'))} wider than the cable` : `leave a gap of ${mm(n(f, 'gapMm'))}`}; a gap of ${range(f)} is asked for, so it is loose; ${right(f)}.`,
    't02.daylight': (f) => `${block(f)}: ${side(f)}daylight between the halves or at the cable.`,
    't02.right': (f) => `The layers leave the gap of the sheet on every side (${n(f, 'count')}).`,
    't02.daylight-unseen': (f) => `${block(f)}: ${side(f)}nobody looked for daylight.`,
  },
};
