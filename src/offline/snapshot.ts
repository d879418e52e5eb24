import { completed } from '../core/record/completed';
import type { Snapshot } from '../core/record/snapshot';
import { MemorySlice, type RecordChange } from '../core/record/slice';
import type { TableName } from '../core/record/types';

const TABLES = [
  'site', 'area', 'enclosure', 'cable', 'certificate', 'instrument', 'entry', 'round',
  'reference', 'reading', 'look', 'pour', 'makeoff', 'insulation', 'continuity', 'packing', 'asleft', 'inspection', 'defect', 'change',
] as const satisfies readonly TableName[]; // prettier-ignore

/** A snapshot as a slice that can be read and written. */
export function sliceOf({ records }: Snapshot): MemorySlice {
  const slice = new MemorySlice();
  const changes: RecordChange[] = [];
  for (const table of TABLES)
    // A copy kept by an earlier version lacks tables and fields that came since.
    for (const record of records[table] ?? [])
      changes.push({ table, id: record.id, after: completed(table, record) });
  slice.write(changes);
  return slice;
}

/** A slice as a snapshot, to be kept on the device. */
export const snapshotOf = (slice: MemorySlice, journal: string, seq: number): Snapshot => ({
  journal,
  seq,
  records: Object.fromEntries(TABLES.map((table) => [table, slice.all(table)])) as Snapshot['records'],
});
