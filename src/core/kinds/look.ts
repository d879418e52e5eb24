import type { Grade } from '../record/types';
import type { Situation } from './situation';
import type { Worded } from './worded';

/**
 * Where one stands to answer, in the order in which an entry is gone through: from outside, at the wall, in the open
 * box, in the opened gland; last what the certificate asks for.
 */
export const SPOTS = ['outside', 'wall', 'box', 'inside', 'conditions'] as const;
export type Spot = (typeof SPOTS)[number];

/** A question that is answered by looking. */
export interface LookQuestion extends Worded {
  id: string;
  grade: Grade;
  spot: Spot;
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
  { spot, good, bad }: { spot: Spot; good: readonly string[]; bad: readonly string[] },
  words = id,
): LookQuestion => ({
  id,
  words,
  grade,
  spot,
  answers: [...good.map((one) => ({ id: one, good: true })), ...bad.map((one) => ({ id: one, good: false }))],
});

/** A look that is asked only where there is something to look at. */
export const where = (question: LookQuestion, asked: NonNullable<LookQuestion['asked']>): LookQuestion => ({
  ...question,
  asked,
});

/**
 * The answer that a look is given when everything at its spot was seen and is as it should be; null where that does
 * not say which: there is more than one way to be right ("fitted", "none"), none that is wrong, or evidence is asked
 * for with the answer.
 *
 * @example asItShould(SHROUD) // null: it may be fitted, or there may be none
 */
export function asItShould({ answers, spot }: LookQuestion): string | null {
  const good = answers.filter((one) => one.good);
  return good.length === 1 && answers.length > 1 && spot !== 'conditions' ? good[0]!.id : null;
}

/** Looks at one spot. */
export interface LookGroup {
  spot: Spot;
  looks: readonly LookQuestion[];
}

/** Looks by the spots that they are answered at, in the order in which an entry is gone through. */
export const bySpot = (looks: readonly LookQuestion[]): LookGroup[] =>
  SPOTS.map((spot) => ({ spot, looks: looks.filter((one) => one.spot === spot) })).filter(
    ({ looks: own }) => own.length > 0,
  );
