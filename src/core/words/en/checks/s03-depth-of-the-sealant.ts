import { count, mm } from '../format';
import type { Facts } from '../../../record/finding';
import { n, s } from '../sentences/parts';
import type { CheckWords } from './words';

const farSide = (f: Facts) => (f.side === 'far' ? ', far side' : '');

export const s03: CheckWords = {
  title: 'Depth of the sealant',
  sentences: {
    's03.unread': (f) =>
      `Opening ${s(f, 'opening')}${farSide(f)}: the sealant’s depth is measured at ${count(n(f, 'count'), 'point')}; three are needed, ${mm(n(f, 'depthMm'))} is asked for.`,
    's03.shallow': (f) =>
      `Opening ${s(f, 'opening')}${farSide(f)}: the sealant is ${mm(n(f, 'leastMm'))} deep at one point; ${mm(n(f, 'depthMm'))} is asked for.`,
    's03.deep': (f) =>
      `Opening ${s(f, 'opening')}${farSide(f)}: at least ${mm(n(f, 'leastMm'))} of sealant at ${count(n(f, 'count'), 'point')}; ${mm(n(f, 'depthMm'))} is asked for.`,
    's03.wall': (f) =>
      `Opening ${s(f, 'opening')}: the wall of ${mm(n(f, 'wallDepthMm'))} is shallower than ${mm(n(f, 'depthMm'))} of sealant on ${count(n(f, 'sides'), 'side')}.`,
    's03.sleeves': (f) =>
      `Opening ${s(f, 'opening')}: sleeves and sealant need ${mm(n(f, 'neededMm'))}, the wall is ${mm(n(f, 'wallDepthMm'))} deep; to which length the sleeves were cut is not recorded.`,
  },
};
