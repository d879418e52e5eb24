import { moment, s } from '../sentences/parts';
import type { CheckWords } from './words';

export const m02: CheckWords = {
  title: 'Insulation before sealing',
  sentences: {
    'm02.late': (f) =>
      `${s(f, 'pairs')} of the test before sealing were read after the pot was filled at ${moment(s(f, 'sealedAt'))}: they say nothing about before.`,
  },
};
