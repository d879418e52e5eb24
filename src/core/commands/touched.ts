import type { RecordChange, Slice } from '../record/slice';
import { tableOf } from '../record/tables';
import type { Touches } from '../record/touches';
import type { Id } from '../record/types';

/**
 * Entries whose judgement a set of changes can alter, by the records as they were and as they are. Read from
 * the slice after the changes were written.
 */
export function touchedEntries(slice: Slice, changes: readonly RecordChange[]): Set<Id> {
  const touched = new Set<Id>();
  for (const change of changes) {
    if (judgesNothing(change)) continue;
    const { table, before, after } = change;
    const touches = tableOf(table).touches as Touches<unknown>;
    for (const record of [before, after])
      if (record) for (const entry of touches(slice, record)) touched.add(entry);
  }
  return touched;
}

/** Of a site’s record: what no entry is judged by. Chosen: what the judging never reads. */
export const UNJUDGED: ReadonlySet<string> = new Set([
  'name',
  'severityDays',
  'usualMinutes',
  'lastSeal',
  'rev',
  'stamps',
]);

/** Whether a change of the site’s record leaves alone everything that entries are judged by: its name, its newest seal. */
export function judgesNothing({ table, before, after }: RecordChange): boolean {
  if (table !== 'site' || before === null || after === null) return false;
  const judged = (record: object) =>
    JSON.stringify(Object.entries(record).filter(([field]) => !UNJUDGED.has(field)));
  return judged(before) === judged(after);
}
