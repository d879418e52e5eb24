import type { ImportItem } from '../commands/commands';
import type { BulkTable } from './columns';
import type { Mapped } from './headings';
import type { BulkRow } from './sheets';

/** What one sheet of a file is taken for. */
export interface SheetTaken {
  name: string;
  /** Null: it cannot be told, and the sheet is left out until somebody says. */
  table: BulkTable | null;
  mapping: Mapped[];
  /** Rows that are not blank. */
  rows: number;
  /** Columns that its rows need and no heading says, by their titles. */
  missing: string[];
}

/** What the sheets of a file would change on a site, before anything is changed. */
export interface SheetsPreview {
  sheets: SheetTaken[];
  /** The first rows of those that would change something, or cannot be taken. */
  rows: BulkRow[];
  counts: Record<BulkRow['action'], number>;
  items: ImportItem[];
  /** Rows that are refused, sheet by sheet, as CSV to be mended and brought again. */
  refused: { sheet: string; csv: string }[];
}

/** What somebody says a sheet is to be taken for. */
export interface SheetSaid {
  name: string;
  table: BulkTable | null;
  mapping: Mapped[] | null;
}
