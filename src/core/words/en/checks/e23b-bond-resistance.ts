import { ohm } from '../format';
import { n, bond } from '../sentences/parts';
import type { CheckWords } from './words';

export const e23b: CheckWords = {
  title: 'Bond resistance',
  sentences: {
    'e23b.not-measured': (f) =>
      `Bond from armour to wall is not measured; at most ${ohm(n(f, 'limitOhm'))} is allowed${f.expectedOhm === null ? '' : `, ${ohm(n(f, 'expectedOhm'))} is expected`}.`,
    'e23b.over': (f) => `${bond(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed.`,
    'e23b.path-unknown': (f) => `${bond(f)} is low, but whether one end was disconnected is not recorded.`,
    'e23b.parallel': (f) => `${bond(f)} is low, but parallel paths remain, so it proves nothing.`,
    'e23b.close': (f) =>
      `${bond(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed, nearer than the uncertainty.`,
    'e23b.agrees': (f) =>
      `${bond(f)}; at most ${ohm(n(f, 'limitOhm'))} is allowed across the joint, for which nothing is predicted.`,
  },
};
