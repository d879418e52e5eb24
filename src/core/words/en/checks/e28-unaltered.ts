import { day } from '../format';
import { s } from '../sentences/parts';
import type { CheckWords } from './words';

export const e28: CheckWords = {
  title: 'Unaltered since it was sealed',
  sentences: {
    'e28.broken': (f) =>
      `The ${f.what === 'asleft' ? 'as-left record' : 'inspection'} that ${s(f, 'by')} sealed on ${day(s(f, 'sealedAt'))} does not match its seal: it was changed since, and speaks for nothing.`,
    'e28.there-is-one': (f) =>
      `A record was sealed on ${day(s(f, 'lastSealed'))}, and the look says that there is none: hold the entry against it.`,
    'e28.there-is-none': () => 'The look says that it is as it was sealed; nothing was ever sealed here.',
  },
};
