import type { Grade } from '../record/types';
import type { Situation } from './situation';

/** A question that is answered by looking. */
export interface LookQuestion {
  id: string;
  title: string;
  question: string;
  grade: Grade;
  /** Answers, the good ones first. */
  answers: readonly LookAnswer[];
  /** Whether it is asked of an entry; left out: always. */
  asked?(of: Situation): boolean;
}

export interface LookAnswer {
  id: string;
  title: string;
  good: boolean;
}

export const good = (id: string, title: string): LookAnswer => ({ id, title, good: true });
export const bad = (id: string, title: string): LookAnswer => ({ id, title, good: false });
export const look = (
  id: string,
  title: string,
  grade: Grade,
  question: string,
  ...answers: LookAnswer[]
): LookQuestion => ({ id, title, question, grade, answers });

/** A look that is asked only where there is something to look at. */
export const where = (question: LookQuestion, asked: NonNullable<LookQuestion['asked']>): LookQuestion => ({
  ...question,
  asked,
});
