import { s, n } from '../sentences/parts';
import { day } from '../format';
import type { CheckWords } from './words';

export const m06: CheckWords = {
  title: 'Continuity and sleeves',
  sentences: {
    'm06.none': (f) => `The conductors of cable ${s(f, 'cable')} have not been traced from end to end.`,
    'm06.missing': (f) => `Not traced from end to end: ${s(f, 'names')}.`,
    'm06.broken': (f) => `Nothing comes through at the far end of ${s(f, 'names')}.`,
    'm06.crossed': (f) => `Crossed: ${s(f, 'pairs')} at the far end.`,
    'm06.agrees': (f) => `All ${n(f, 'count')} conductors come out under their own sleeves.`,
    'm06.future': (f) => `The tracing is dated ${day(s(f, 'at'))}, which is still to come.`,
  },
};
