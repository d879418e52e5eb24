import type { Sentence } from '../sentences/parts';

/** How a check is called, and what it says. */
export interface CheckWords {
  title: string;
  /** By their keys; left out where it says what others say too. */
  sentences?: Readonly<Record<string, Sentence>>;
}
