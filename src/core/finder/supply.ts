import type { KindId } from '../record/kind-ids';

/** Something to fetch, and how many of it. */
export type Counted = [part: Supply, count: number];

/** Something that has to be at hand, or ordered, for an entry; `core/words` names it. */
export type Supply =
  | { is: 'gland'; certificate: string; kind: KindId; size: string; thread: string | null }
  | { is: 'ring'; face: string; certificate: string; size: string }
  | { is: 'adaptor'; what: string; male: string; female: string }
  | { is: 'locknut' | 'washer' | 'earth-tag'; thread: string | null }
  | { is: 'shroud'; what: string; size: string }
  | { is: 'compound'; name: string; packMl: number }
  | { is: 'outer-seal' | 'inner-seal'; size: string }
  | { is: 'block-pair'; sizeMm: number }
  | { is: 'stay-plate' | 'compression-unit' }
  | { is: 'sealant'; name: string; cartridgeMl: number }
  | { is: 'sleeve'; outerMm: number };
