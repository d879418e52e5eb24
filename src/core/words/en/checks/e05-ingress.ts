import { s } from '../sentences/parts';
import type { Facts } from '../../../record/finding';
import type { CheckWords } from './words';

const ASKERS: Record<string, (f: Facts) => string> = {
  area: () => 'the area',
  derating: () => 'the recorded derating',
  marking: () => 'the enclosure’s marking',
  concept: (f) => `protection ${s(f, 'concept')}`,
  type: (f) => `enclosure type ${s(f, 'type')}`,
};

/** What asks for the rating. */
const asker = (f: Facts): string => ASKERS[s(f, 'by')]?.(f) ?? s(f, 'by');

export const e05: CheckWords = {
  title: 'Ingress rating',
  sentences: {
    'e05.unreadable': (f) => `Ingress rating "${s(f, 'rating')}" cannot be read; write it like IP66.`,
    'e05.too-low': (f) => `${s(f, 'asked')} is asked for by ${asker(f)}; the gland has ${s(f, 'has')}.`,
    'e05.enough': (f) =>
      `${s(f, 'has')} meets the ${s(f, 'area')} that the area asks for and the ${s(f, 'marked')} of the enclosure.`,
    'e05.type-unknown': (f) =>
      `${s(f, 'tag')} is marked type ${s(f, 'type')}; the site's table of types does not say which rating that is.`,
  },
};
