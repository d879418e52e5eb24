import { s, moment } from '../sentences/parts';
import type { CheckWords } from './words';

export const e17: CheckWords = {
  title: 'Compound',
  sentences: {
    'e17.look-early': (f) =>
      `The face was looked at on ${moment(s(f, 'at'))}, before the compound was cured at ${moment(s(f, 'lookAt'))}.`,
    'e17.mended-unrecorded': (f) =>
      `Voids were mended, and no second pour of ${s(f, 'name')} is recorded: batch, expiry, temperature and times.`,
  },
};
