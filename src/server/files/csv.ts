import Papa from 'papaparse';
import type { FileFault } from './schema';

/** Rows as CSV with a heading; cells that a spreadsheet would run as a formula are made safe. */
export function toCsv(columns: readonly string[], rows: readonly Record<string, unknown>[]): string {
  return csvHead(columns) + csvRows(columns, rows);
}

/** The heading of a table. A byte-order mark lets spreadsheets read the units right. */
export const csvHead = (columns: readonly string[]): string => `\uFEFF${columns.join(',')}\r\n`;

/** Rows of a table without its heading. */
export function csvRows(columns: readonly string[], rows: readonly Record<string, unknown>[]): string {
  if (rows.length === 0) return '';
  const data = rows.map((row) => columns.map((column) => row[column] ?? ''));
  return `${Papa.unparse(data, { escapeFormulae: true, newline: '\r\n' })}\r\n`;
}

/** Rows of a table that are taken in at once. Chosen: what is previewed without a wait. */
export const MOST_ROWS = 5000;
/** Columns of a table. Chosen: more than any schedule has. */
export const MOST_COLUMNS = 100;
/** Characters of one line; no row of cables or sizes is longer. */
const MOST_IN_LINE = 20_000;

/** Why a text is no table that can be looked at; null when it may be one. */
export function formFault(text: string): string | null {
  if (text.includes('\u0000')) return 'is no text; choose a CSV file.';
  const lines = text.split('\n', MOST_ROWS * 2);
  if ((lines[0] ?? '').split(/[,;\t]/).length > MOST_COLUMNS) return `has more than ${MOST_COLUMNS} columns; take out what does not belong to it.`; // prettier-ignore
  const long = lines.findIndex((line) => line.length > MOST_IN_LINE);
  return long < 0 ? null : `has a line of more than ${MOST_IN_LINE} characters (line ${long + 1}); a quote is not closed there, or it is no table.`; // prettier-ignore
}

/** A CSV text as rows of named cells, with the faults of its form. */
export function fromCsv(text: string): {
  columns: string[];
  rows: Record<string, string>[];
  faults: { row: number | null; message: string }[];
} {
  const plain = text.replace(/^\uFEFF/, '');
  const fault = formFault(plain);
  if (fault) return { columns: [], rows: [], faults: [{ row: null, message: fault }] };
  const parsed = Papa.parse<Record<string, string>>(plain, {
    header: true,
    preview: MOST_ROWS + 1,
    delimitersToGuess: [',', ';', '\t'],
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
