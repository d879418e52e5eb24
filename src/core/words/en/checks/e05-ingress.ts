import { s } from '../sentences/parts';
import type { CheckWords } from './words';

export const e05: CheckWords = {
  title: 'Ingress rating',
  sentences: {
    'e05.unreadable': (f) => `Ingress rating "${s(f, 'rating')}" cannot be read; write it like IP66.`,
    'e05.too-low': (f) => `${s(f, 'asked')} is asked for by ${s(f, 'by')}; the gland has ${s(f, 'has')}.`,
    'e05.enough': (f) =>
      `${s(f, 'has')} meets the ${s(f, 'area')} that the area asks for and the ${s(f, 'marked')} of the enclosure.`,
    'e05.type-unknown': (f) =>
      `${s(f, 'tag')} is marked type ${s(f, 'type')}; the site's table of types does not say which rating that is.`,
  },
};
