import type { Grade } from '../record/types';

/** A question that is answered by looking. */
export interface LookQuestion {
  id: string;
  title: string;
  question: string;
  grade: Grade;
  /** Answers, the good ones first. */
  answers: readonly LookAnswer[];
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
