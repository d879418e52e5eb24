import type { Grade } from '../record/types';
import type { Situation } from './situation';
import type { Worded } from './worded';

/** A question that is answered by looking. */
export interface LookQuestion extends Worded {
  id: string;
  grade: Grade;
  /** Answers, the good ones first. */
  answers: readonly LookAnswer[];
  /** Whether it is asked of an entry; left out: always. */
  asked?(of: Situation): boolean;
}

interface LookAnswer {
  id: string;
  good: boolean;
}

/** A look with the ids of its answers, and the key of its words where that is not its own id. */
export const look = (
  id: string,
  grade: Grade,
  { good, bad }: { good: readonly string[]; bad: readonly string[] },
  words = id,
): LookQuestion => ({
  id,
  words,
  grade,
  answers: [...good.map((one) => ({ id: one, good: true })), ...bad.map((one) => ({ id: one, good: false }))],
});

/** A look that is asked only where there is something to look at. */
export const where = (question: LookQuestion, asked: NonNullable<LookQuestion['asked']>): LookQuestion => ({
  ...question,
  asked,
});
