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
  for (const { table, before, after } of changes) {
    const touches = tableOf(table).touches as Touches<unknown>;
    for (const record of [before, after])
      if (record) for (const entry of touches(slice, record)) touched.add(entry);
  }
  return touched;
}
