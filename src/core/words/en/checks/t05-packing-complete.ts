import { mm, count, figure } from '../format';
import { n } from '../sentences/parts';
import { at } from '../sentences/transit';
import type { CheckWords } from './words';

export const t05: CheckWords = {
  title: 'Packing complete',
  sentences: {
    't05.width': (f) =>
      `${at(f).replace('opening', 'Opening')}: ${mm(Math.abs(n(f, 'missingMm')))} of its width ${n(f, 'missingMm') > 0 ? 'is empty' : 'too much'}.`,
    't05.plate': (f) => `${at(f).replace('opening', 'Opening')} has no stay plate.`,
    't05.plate-unread': (f) => `${at(f).replace('opening', 'Opening')}: nobody looked for its stay plate.`,
    't05.core': (f) => `${at(f).replace('opening', 'Opening')}: a spare block has lost its core.`,
    't05.core-unread': (f) =>
      `${at(f).replace('opening', 'Opening')}: nobody looked for the core of a spare block.`,
    't05.complete': () => 'Rows are full, plates and cores are in.',
    't05.column': (f) =>
      `${at(f).replace('opening', 'Opening')}, column ${n(f, 'column')}: ${count(n(f, 'have'), 'block')} in a row of ${mm(n(f, 'heightMm'))}, ${figure(n(f, 'wanted'), 1)} fill it.`,
    't05.two-sides': () =>
      'The frame is recorded as closed on two sides, and the look says that its sheet asks for one.',
  },
};
