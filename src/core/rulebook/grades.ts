import { GRADES, type Grade } from '../record/types';

/** Whether a check of one grade is asked at another: visual ⊂ close ⊂ detailed. */
export const asksFor = (grade: Grade, check: Grade): boolean =>
  GRADES.indexOf(check) <= GRADES.indexOf(grade);
