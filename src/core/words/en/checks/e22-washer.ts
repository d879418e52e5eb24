import { s, n } from '../sentences/parts';
import { mm } from '../format';
import type { CheckWords } from './words';
import { washerWords } from '../washer';

export const e22: CheckWords = {
  title: 'Sealing washer',
  sentences: {
    'e22.missing': (f) => `No sealing washer under ${s(f, 'thread')}: ${washerWords(f)}.`,
    'e22.thickness': (f) => `A washer is fitted under ${s(f, 'thread')}, and its thickness is not recorded.`,
    'e22.fitted': (f) => `A washer of ${mm(n(f, 'washerMm'))} is fitted: ${washerWords(f)}.`,
    'e22.none-asked': (f) =>
      n(f, 'washerMm') > 0
        ? `A washer of ${mm(n(f, 'washerMm'))} is fitted; none is asked for.`
        : 'No washer is asked for.',
    'e22.contradiction': (f) =>
      `A washer of ${mm(n(f, 'washerMm'))} under ${s(f, 'thread')} is recorded, and the look says that none is fitted.`,
    'e22.thin': (f) =>
      `A washer of ${mm(n(f, 'washerMm'))} is fitted under ${s(f, 'thread')}; the sheet asks for ${mm(n(f, 'askedMm'))}.`,
    'e22.o-ring': (f) => `Certificate ${s(f, 'certificate')} seals by an O-ring, so no washer is asked for.`,
    'e22.no-o-ring': (f) => `Certificate ${s(f, 'certificate')} has no O-ring, so a washer is asked for.`,
    'e22.o-ring-unknown': (f) =>
      `Whether certificate ${s(f, 'certificate')} seals by an O-ring is not recorded.`,
  },
};
