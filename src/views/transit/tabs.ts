/** What a transit is opened on. */
export const TABS = [
  ['board', 'Board'],
  ['plan', 'Packing planner'],
  ['more', 'One more cable'],
  ['looks', 'Looked at'],
] as const;
export type Tab = (typeof TABS)[number][0];
