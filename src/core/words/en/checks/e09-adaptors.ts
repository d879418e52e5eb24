import { n, s } from '../sentences/parts';
import { count } from '../format';
import type { CheckWords } from './words';
import { hazard, adaptor } from '../sentences/terms';

export const e09: CheckWords = {
  title: 'Adaptors',
  sentences: {
    'e09.unknown': () => 'Whether adaptors stand between gland and wall is not recorded.',
    'e09.none': () => 'No adaptor stands between gland and wall.',
    'e09.several': (f) =>
      `${n(f, 'count')} adaptors stand between gland and flameproof wall; at most 1 is allowed.`,
    'e09.reducers': (f) => `${n(f, 'reducers')} reducers are screwed into each other; 1 is the most.`,
    'e09.level': (f) =>
      `The ${adaptor(f)} has level ${s(f, 'has') || 'none'}; ${hazard(f)} takes ${s(f, 'accepted')}.`,
    'e09.group': (f) =>
      `The ${adaptor(f)} is for ${s(f, 'has') || 'no group'}; the area asks for ${s(f, 'asked')}.`,
    'e09.suits': (f) => `${count(n(f, 'count'), 'adaptor')} into ${s(f, 'thread')} suits enclosure and area.`,
    'e09.not-suited': (f) =>
      `The ${adaptor(f)} is in ${s(f, 'has') || 'no protection'}; an enclosure in ${s(f, 'concept')} takes ${s(f, 'allowed')}.`,
    'e09.not-listed': (f) =>
      `The ${adaptor(f)} is not listed for ${hazard(f)}, as ${s(f, 'enclosure')} asks.`,
  },
};
