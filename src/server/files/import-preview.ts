import type { ImportItem } from '../../core/commands/commands';
import { canonicalHash } from '../../core/record/seal';
import type { FileFault } from './schema';

/** What a file would change, before anything is changed. */
export interface ImportPreview {
  rows: { row: number; what: string; action: 'add' | 'change' | 'same'; fields: string[] }[];
  faults: FileFault[];
  /** What the import command carries; empty when there is a fault. */
  items: ImportItem[];
}

/** Adds a record to a preview, with what it would change on file. */
export function addItem(
  preview: ImportPreview,
  row: number,
  what: string,
  item: ImportItem,
  before: object | null,
): void {
  const was = before as Record<string, unknown> | null;
  const fields = Object.entries(item.record)
    .filter(
      ([field, value]) =>
        field !== 'id' && was !== null && canonicalHash(value) !== canonicalHash(was[field] ?? null),
    )
    .map(([field]) => field);
  const action = was === null ? 'add' : fields.length > 0 ? 'change' : 'same';
  preview.rows.push({ row, what, action, fields: was === null ? [] : fields });
  if (action !== 'same') preview.items.push(item);
}

/** A preview of a file that cannot be taken at all. */
export const refuse = (field: string, message: string): ImportPreview => ({
  rows: [],
  faults: [{ row: null, field, message }],
  items: [],
});

/** Told how far a file is read. */
export type Told = (done: number, of: number) => void;

/** Rows between two words of how far it is. Chosen: some words a second. */
export const TOLD_EVERY = 50;
