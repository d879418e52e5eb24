import { isDeepStrictEqual } from 'node:util';
import { createHash } from 'node:crypto';
import { apply } from '../../core/commands/apply';
import type { AnyCommand } from '../../core/commands/commands';
import { MemorySlice, reverse } from '../../core/record/slice';
import { TABLES } from '../../core/record/tables';
import type { Id, TableName } from '../../core/record/types';
import type { JournalLine } from '../../store/journal';
import type { SiteStore } from '../../store/site-store';

/** A record that is not what the journal adds up to, or the command that cannot be followed. */
export interface Departure {
  table: TableName | null;
  id: Id;
  seq: number | null;
}

/**
 * Whether a site's records are what its journal adds up to. Without a base line everything is replayed from nothing.
 * From a base (the newest line that says what all records were), the records are first taken back to it, change by
 * change, and compared with its hash; then the commands after it are applied again.
 *
 * @returns the first departure; null when all agree
 */
export function firstDeparture(store: SiteStore): Departure | null {
  const base = store.journal.lastOwn();
  const since = [...store.journal.lines((base?.seq ?? 0) + 1)];
  const slice = new MemorySlice();
  if (base) {
    fill(slice, store);
    takeBack(slice, since);
    if (hashOfSlice(slice) !== base.line.payload.records)
      return { table: null, id: base.line.kind, seq: base.seq };
  }
  for (const { seq, id, command, person } of since) {
    try {
      slice.write(apply(slice, JSON.parse(command) as AnyCommand, person));
    } catch {
      return { table: null, id, seq };
    }
  }
  return difference(slice, store);
}

function fill(slice: MemorySlice, store: SiteStore): void {
  for (const table of TABLES)
    slice.write(store.records.all(table).map((after) => ({ table, id: after.id, after })));
}

function takeBack(slice: MemorySlice, lines: readonly JournalLine[]): void {
  for (const { id } of [...lines].reverse()) {
    const change = slice.get('change', id);
    if (!change) continue;
    slice.write([...reverse(change), { table: 'change', id, after: null }]);
  }
}

/** The same as over the stored records: bodies as they are written. */
function hashOfSlice(slice: MemorySlice): string {
  const hash = createHash('sha256');
  for (const table of TABLES)
    for (const record of sorted(slice.all(table)))
      hash.update(`${table}\n${record.id}\n${JSON.stringify(record)}\n`);
  return hash.digest('hex');
}

const sorted = <R extends { id: Id }>(records: readonly R[]): R[] =>
  [...records].sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));

function difference(slice: MemorySlice, store: SiteStore): Departure | null {
  for (const table of TABLES) {
    const stored = new Map(store.records.all(table).map((record) => [record.id, record]));
    for (const record of slice.all(table)) {
      const kept = stored.get(record.id);
      stored.delete(record.id);
      // As it is written: without fields that are undefined.
      if (!isDeepStrictEqual(kept, JSON.parse(JSON.stringify(record))))
        return { table, id: record.id, seq: null };
    }
    for (const id of stored.keys()) return { table, id, seq: null };
  }
  return null;
}
