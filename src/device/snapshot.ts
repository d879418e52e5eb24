import { completed } from '../core/record/completed';
import type { Snapshot } from '../core/commands/news';
import { MemorySlice, type Written } from '../core/record/slice';
import { TABLES } from '../core/record/tables';

/** A snapshot as a slice that can be read and written. */
export function sliceOf({ records }: Snapshot): MemorySlice {
  const slice = new MemorySlice();
  const changes: Written[] = [];
  for (const table of TABLES)
    // A server of an earlier version lacks tables and fields that came since.
    for (const record of records[table] ?? [])
      changes.push({ table, id: record.id, after: completed(table, record) });
  slice.write(changes);
  return slice;
}
