import { tableOf, TABLES } from './tables';
import type { Slice } from './slice';
import type { Id, TableName } from './types';

/** How many records of a table refer to something. */
export interface Users {
  table: TableName;
  count: number;
}

/** What refers to a record; empty when nothing does. */
export function usersOf(slice: Slice, table: TableName, id: Id, except: ReadonlySet<Id>): Users[] {
  const users: Users[] = [];
  for (const from of TABLES) {
    for (const [field, to] of Object.entries(tableOf(from).references)) {
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
