/** Kinds of entry that the house knows; `kinds.ts` says what each is. */
export const KIND_IDS = [
  'gland-double-seal',
  'gland-reversible-ring',
  'gland-dedicated-ring',
  'gland-diaphragm',
  'gland-barrier',
  'gland-barrier-plain',
  'gland-plain',
  'gland-industrial',
  'connector-resin',
  'mi-pot',
  'mi-link',
  'transit-block',
  'transit-block-bonded',
  'transit-cabinet',
  'transit-sealant',
] as const;
export type KindId = (typeof KIND_IDS)[number];

/** Whether a kind is a transit: its name says so, so that no list has to open what is known of kinds. */
export const isTransit = (kind: KindId): boolean => kind.startsWith('transit-');
