import type { Users } from '../../record/references';
import type { TableName } from '../../record/types';

/** A few words for a record of a table. */
const NOUNS: Record<TableName, [one: string, many: string]> = {
  site: ['site', 'sites'],
  area: ['area', 'areas'],
  enclosure: ['enclosure', 'enclosures'],
  cable: ['cable', 'cables'],
  certificate: ['certificate', 'certificates'],
  instrument: ['instrument', 'instruments'],
  entry: ['entry', 'entries'],
  round: ['round', 'rounds'],
  reading: ['reading', 'readings'],
  look: ['look', 'looks'],
  pour: ['compound fill', 'compound fills'],
  insulation: ['insulation test', 'insulation tests'],
  continuity: ['continuity test', 'continuity tests'],
  packing: ['packing', 'packings'],
  makeoff: ['make-off', 'make-offs'],
  asleft: ['as-left record', 'as-left records'],
  frozen: ['frozen record', 'frozen records'],
  reference: ['set of references', 'sets of references'],
  inspection: ['sealed inspection', 'sealed inspections'],
  defect: ['defect', 'defects'],
  change: ['change', 'changes'],
};

/** "1 entry", "3 readings". */
const counted = (table: TableName, n: number): string => `${n} ${NOUNS[table][n === 1 ? 0 : 1]}`;

/** "3 readings, 1 round", "the site". */
export const countedAll = (users: readonly Users[]): string =>
  // There is one site, and it counts itself.
  users.map(({ table, count }) => (table === 'site' ? 'the site' : counted(table, count))).join(', ');

/** The word for one record of a table. */
export const nounOf = (table: TableName): string => NOUNS[table][0];
