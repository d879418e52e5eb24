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

/** How many records of a table refer to something. */
export interface Users {
  table: TableName;
  count: number;
}

/** What refers to a record; empty when nothing does. */
export function usersOf(slice: Slice, table: TableName, id: Id, except: ReadonlySet<Id>): Users[] {
  const users: Users[] = [];
  for (const [from, fields] of Object.entries(REFERENCES) as [TableName, Record<string, TableName>][]) {
    for (const [field, to] of Object.entries(fields)) {
      if (to !== table) continue;
      const using = slice.by(from, field, id).filter((record) => !except.has(record.id));
      if (using.length > 0) users.push({ table: from, count: using.length });
    }
  }
  if (table === 'entry') {
    const entry = slice.get('entry', id);
    const rounds = entry ? slice.by('round', 'site', entry.site).filter((r) => r.entries.includes(id)) : [];
    if (rounds.length > 0) users.push({ table: 'round', count: rounds.length });
  }
  return users;
}
