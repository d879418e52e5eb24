import type { RecordChange, Slice } from '../record/slice';
import { tableOf } from '../record/tables';
import type { Touches } from '../record/touches';
import type { Base, Id } from '../record/types';

/**
 * Entries whose judgement a set of changes can alter, by the records as they were and as they are. Read from
 * the slice after the changes were written.
 */
export function touchedEntries(slice: Slice, changes: readonly RecordChange[]): Set<Id> {
  const touched = new Set<Id>();
  for (const change of changes) {
    if (isLastSeal(change)) continue;
    const { table, before, after } = change;
    const touches = tableOf(table).touches as Touches<unknown>;
    for (const record of [before, after])
      if (record) for (const entry of touches(slice, record)) touched.add(entry);
  }
  return touched;
}

/** A seal writes into the site's record that it is the newest: nobody judges by that. */
function isLastSeal({ table, before, after }: RecordChange): boolean {
  if (table !== 'site' || before === null || after === null) return false;
  const bare = ({ lastSeal: _seal, rev: _rev, ...rest }: Base & { lastSeal?: unknown }) =>
    JSON.stringify(rest);
  return bare(before) === bare(after);
}
