import type { Defect } from '../../record/types';
import { statement } from './findings';

/** A defect in a list: in today's words where its facts are known, else as it was shown. */
export const defectStatement = ({
  finding,
  statement: said,
}: Pick<Defect, 'finding' | 'statement'>): string => (finding ? statement(finding) : said);
