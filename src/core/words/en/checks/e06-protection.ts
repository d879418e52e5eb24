import { s } from '../sentences/parts';
import type { CheckWords } from './words';
import { hazard } from '../sentences/terms';

export const e06: CheckWords = {
  title: 'Protection against enclosure',
  sentences: {
    'e06.sealing-unknown': (f) =>
      `${s(f, 'enclosure')} is of protection ${s(f, 'concept')}, and whether the gland counts as a sealing gland is not recorded.`,
    'e06.none-asked': (f) =>
      `Protection ${s(f, 'concept')} with only such circuits asks for no marked gland; the ingress rating counts.`,
    'e06.enclosure-certificate': (f) =>
      `For protection ${s(f, 'concept')} the enclosure's own certificate says which glands may be used.`,
    'e06.suits': (f) => `The gland's ${s(f, 'by')} suits the enclosure's ${s(f, 'concept')}.`,
    'e06.not-suited': (f) =>
      `An enclosure in ${s(f, 'concept')} takes a gland in ${s(f, 'allowed')}; this one is in ${s(f, 'has') || 'no protection'}.`,
    'e06.enclosure-unmarked': (f) =>
      `No protection against ${s(f, 'against') || 'gas'} is recorded for ${s(f, 'enclosure')}.`,
    'e06.circuits-unknown': (f) =>
      `Whether ${s(f, 'enclosure')} (${s(f, 'concept')}) holds nothing but intrinsically safe circuits is not recorded.`,
    'e06.compartment': (f) =>
      `${s(f, 'enclosure')} is marked ${s(f, 'concepts')}; which compartment this entry opens into is not recorded.`,
    'e06.building-wall': (f) =>
      `${s(f, 'tag')} is a ${s(f, 'where')} of the building, no enclosure: its approval counts.`,
    'e06.listed': (f) => `Listed for ${hazard(f)}, as ${s(f, 'enclosure')} asks.`,
    'e06.not-listed': (f) =>
      `${s(f, 'enclosure')} asks for an entry listed for ${hazard(f)}; this one is not.`,
    'e06.no-listing-asked': (f) => `${s(f, 'enclosure')} asks for no listed entry in ${hazard(f)}.`,
  },
};
