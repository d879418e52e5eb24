import type { Slice } from './slice';
import type { Id, TableName } from './types';

/** Which field of a table holds the id of a record of which table. */
export const REFERENCES: Partial<Record<TableName, Record<string, TableName>>> = {
  enclosure: { area: 'area' },
  entry: { enclosure: 'enclosure', certificate: 'certificate', cable: 'cable' },
  reading: { entry: 'entry', round: 'round', instrument: 'instrument' },
  look: { entry: 'entry', round: 'round' },
  pour: { entry: 'entry', round: 'round' },
  insulation: { cable: 'cable', instrument: 'instrument', entry: 'entry' },
  continuity: { cable: 'cable' },
  packing: { entry: 'entry' },
  makeoff: { entry: 'entry', round: 'round' },
  asleft: { entry: 'entry', round: 'round' },
  inspection: { entry: 'entry', round: 'round' },
  defect: { entry: 'entry', round: 'round' },
};

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
export const counted = (table: TableName, n: number): string => `${n} ${NOUNS[table][n === 1 ? 0 : 1]}`;

/** The word for one record of a table. */
export const nounOf = (table: TableName): string => NOUNS[table][0];

/** What refers to a record, in words; empty when nothing does. */
export function usersOf(slice: Slice, table: TableName, id: Id, except: ReadonlySet<Id>): string {
  const users: string[] = [];
  for (const [from, fields] of Object.entries(REFERENCES) as [TableName, Record<string, TableName>][]) {
    for (const [field, to] of Object.entries(fields)) {
      if (to !== table) continue;
      const using = slice.by(from, field, id).filter((record) => !except.has(record.id));
      if (using.length > 0) users.push(counted(from, using.length));
    }
  }
  if (table === 'entry') {
    const entry = slice.get('entry', id);
    const rounds = entry ? slice.by('round', 'site', entry.site).filter((r) => r.entries.includes(id)) : [];
    if (rounds.length > 0) users.push(counted('round', rounds.length));
  }
  return users.join(', ');
}
