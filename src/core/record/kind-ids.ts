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
