import { figure } from '../format';
import { n, moment, s } from '../sentences/parts';
import type { CheckWords } from './words';

export const m05: CheckWords = {
  title: 'Time to seal',
  sentences: {
    'm05.not-sealed': () => 'When the pot was filled is not recorded.',
    'm05.in-time': (f) =>
      `Sealed ${figure(n(f, 'tookMin'), 0)} min after the oldest reading; ${figure(n(f, 'windowMin'), 0)} min are allowed.`,
    'm05.late': (f) =>
      `Sealed ${figure(n(f, 'tookMin'), 0)} min after the oldest reading; ${figure(n(f, 'windowMin'), 0)} min are allowed: the end may have drawn moisture meanwhile.`,
    'm05.backwards': (f) =>
      `The pot was filled ${figure(-n(f, 'tookMin'), 0)} min before the readings of the test before sealing: one of the times is wrong.`,
    'm05.future': (f) => `The pot was filled at ${moment(s(f, 'sealedAt'))}, which is still to come.`,
  },
};
