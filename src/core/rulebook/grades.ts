import type { Grade } from '../record/types';

/** Whether a check of one grade is asked at another: visual ⊂ close ⊂ detailed. */
export const asksFor = (grade: Grade, check: Grade): boolean => RANK[check] <= RANK[grade];

/** Order of the grades of inspection (IEC 60079-17:2013, 4.3). */
const RANK: Record<Grade, number> = { visual: 0, close: 1, detailed: 2 };
