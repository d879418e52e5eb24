import { dueWhen, SOON_DAYS, type DueWhen } from '../../programme/due-when';
import type { Due, DueReason } from '../../record/types';
import { count, day } from './format';
import { GRADE_WORDS } from './labels';

/** How near the day is, as a filter names it. */
export const WHEN_WORDS: Record<DueWhen, string> = {
  overdue: 'Overdue',
  initial: 'Never inspected so',
  soon: `Due within ${SOON_DAYS} days`,
  later: 'Due later',
};

const REASON_WORDS: Record<Exclude<DueReason, 'never' | 'site'>, string> = {
  surroundings: 'shortened by its surroundings',
  failed: 'halved since a check of level 3 or 4 failed',
  'sound-again': 'given back in part after two sound ones in a row',
  capped: 'at most what the site allows',
  movable: 'because it is moved about',
};

/** "Detailed overdue since 4 Jan 2026", or when it is due. */
export function dueWords(due: Due, today: string): string {
  const grade = GRADE_WORDS[due.grade];
  if (due.day === null) return `${grade}: initial inspection due`;
  return `${grade} ${dueWhen(due, today) === 'overdue' ? 'overdue since' : 'due'} ${day(due.day)}`;
}

/** "every 18 months, halved since a check of level 3 or 4 failed". */
export const dueBecause = ({ months, reasons }: Due): string =>
  [
    `every ${count(months, 'month')}`,
    ...reasons.flatMap((reason) => (reason === 'never' || reason === 'site' ? [] : REASON_WORDS[reason])),
  ].join(', ');
