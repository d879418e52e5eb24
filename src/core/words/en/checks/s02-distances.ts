import { mm } from '../format';
import { n, s } from '../sentences/parts';
import type { CheckWords } from './words';

export const s02: CheckWords = {
  title: 'Distances',
  sentences: {
    's02.cables': (f) =>
      `${s(f, 'cable')} lie ${mm(n(f, 'apartMm'))} apart in opening ${s(f, 'opening')}; at least ${mm(n(f, 'leastMm'))} is asked for.`,
    's02.wall': (f) =>
      `${s(f, 'cable')} lies ${mm(n(f, 'apartMm'))} from the wall of opening ${s(f, 'opening')}; at least ${mm(n(f, 'leastMm'))} is asked for.`,
    's02.kept': (f) =>
      `Opening ${s(f, 'opening')}: cables at least ${mm(n(f, 'apartMm'))} apart, ${mm(n(f, 'wallMm'))} from the wall.`,
  },
};
