import { addDays } from '../record/calendar';
import type { Due } from '../record/types';

/** How near the day is; `initial` where an entry was never inspected as its programme asks. */
export type DueWhen = (typeof DUE_WHENS)[number];

/** How near a day may be, the most pressing first. */
export const DUE_WHENS = ['overdue', 'initial', 'soon', 'later'] as const;

/** What is due soon. Chosen: time to plan a visit, its permits and isolations. */
export const SOON_DAYS = 30;

/**
 * How near what is due lies to a day.
 *
 * @param due null where the programme asks for nothing
 * @param today the day in the site’s time zone
 */
export function dueWhen(due: Due | null, today: string): DueWhen | null {
  if (due === null) return null;
  if (due.day === null) return 'initial';
  if (due.day < today) return 'overdue';
  return due.day <= addDays(today, SOON_DAYS) ? 'soon' : 'later';
}
