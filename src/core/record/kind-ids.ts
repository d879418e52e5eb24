/** Kinds of entry that the house knows; `kinds.ts` says what each is. */
export const KIND_IDS = ['gland-double-seal', 'gland-reversible-ring'] as const;
export type KindId = (typeof KIND_IDS)[number];
