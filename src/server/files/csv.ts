import Papa from 'papaparse';
import type { FileFault } from './schema';

/** Rows as CSV with a heading; cells that a spreadsheet would run as a formula are made safe. */
export function toCsv(columns: readonly string[], rows: readonly Record<string, unknown>[]): string {
  const text = Papa.unparse(
    { fields: [...columns], data: rows.map((row) => columns.map((column) => row[column] ?? '')) },
    { escapeFormulae: true, newline: '\r\n' },
  );
  // A byte-order mark lets spreadsheets read the units right.
  return `\uFEFF${text}\r\n`;
}

/** A CSV text as rows of named cells, with the faults of its form. */
export function fromCsv(text: string): {
  columns: string[];
  rows: Record<string, string>[];
  faults: { row: number | null; message: string }[];
} {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (heading) => heading.trim(),
    transform: (cell) => cell.trim(),
  });
  const faults = parsed.errors
    .filter(({ code }) => code !== 'UndetectableDelimiter')
    .map(({ row, message }) => ({ row: row === undefined ? null : row + 1, message }));
  return { columns: parsed.meta.fields ?? [], rows: parsed.data, faults };
}

/** Columns that a heading lacks or has too many, with what to do about each. */
export function headingFaults(
  columns: readonly string[],
  known: readonly string[],
  optional: ReadonlySet<string>,
  what: string,
): FileFault[] {
  const missing = known.filter((column) => !optional.has(column) && !columns.includes(column));
  const unknown = columns.filter((column) => !known.includes(column));
  return [
    ...missing.map((field) => ({
      row: null,
      field,
      message: 'is missing from the heading; add the column.',
    })),
    ...unknown.map((field) => ({
      row: null,
      field: field || '(empty)',
      message: `is no column of ${what}; they are: ${known.join(', ')}.`,
    })),
  ];
}
