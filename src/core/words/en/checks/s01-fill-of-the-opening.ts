import { figure } from '../format';
import { n, s } from '../sentences/parts';
import type { CheckWords } from './words';

export const s01: CheckWords = {
  title: 'Fill of the opening',
  sentences: {
    's01.fill': (f) =>
      `Opening ${s(f, 'opening')} is filled to ${figure(n(f, 'fillPct'), 1)} %; at most ${figure(n(f, 'mostPct'), 1)} % is allowed.`,
    's01.full': (f) =>
      `Opening ${s(f, 'opening')} is filled to ${figure(n(f, 'fillPct'), 1)} %; at most ${figure(n(f, 'mostPct'), 1)} % is allowed.`,
    's01.wraps': (f) => `Opening ${s(f, 'opening')} has no room for the cables with their sleeves.`,
  },
};
