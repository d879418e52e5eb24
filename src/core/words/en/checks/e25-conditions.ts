import { s, n, stop } from '../sentences/parts';
import type { CheckWords } from './words';

export const e25: CheckWords = {
  title: 'Special conditions',
  sentences: {
    'e25.none': (f) => `Certificate ${s(f, 'certificate')} has no special conditions.`,
    'e25.open': (f) => `Special condition ${n(f, 'number')} is not ticked: ${stop(s(f, 'text'))}`,
    'e25.not-met': (f) =>
      `Special condition ${n(f, 'number')} is not met, seen by ${s(f, 'by')}: ${stop(s(f, 'text'))}`,
    'e25.no-evidence': (f) =>
      `Special condition ${n(f, 'number')} is ticked without evidence: ${stop(s(f, 'text'))}`,
    'e25.met': (f) =>
      `Special condition ${n(f, 'number')} is met, seen by ${s(f, 'by')}${f.note ? ` (${s(f, 'note')})` : ', with a photo'}.`,
    'e25.not-listed': (f) =>
      `Certificate ${s(f, 'certificate')} carries an X, and its special conditions are not on file.`,
  },
};
