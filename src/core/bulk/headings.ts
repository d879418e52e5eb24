import { QUANTITIES } from '../quantity/quantity';
import { BULK_TABLES, COLUMNS, type BulkTable, type Column } from './columns';

/** What a heading is taken for. */
export interface Mapped {
  heading: string;
  /** Id of the column; null: it is left out. */
  column: string | null;
  /** Unit that stands in the heading, for numbers without one; null: that of the column. */
  unit: string | null;
}

/** A heading's words in small letters, without accents and without what separates them. */
const plain = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}°²³µ\u03c9]+/gu, ' ')
    .trim();

/** A heading with the unit that stands at its end: `Length (ft)`, `Length [ft]`, `length_ft`, `Length, ft`. */
function parted(heading: string): { name: string; unit: string } | null {
  const match = /^(.+?)[\s_,;/]*[([{]\s*([^)\]}]+?)\s*[)\]}]\s*$|^(.+?)[\s_,;/]+(\S+)\s*$/u.exec(
    heading.trim(),
  );
  if (!match) return null;
  return { name: plain(match[1] ?? match[3]!), unit: match[2] ?? match[4]! };
}

/** The spelling of a unit that a column's quantity takes; null for none of its units. */
function unitIn({ read }: Column, unit: string): string | null {
  if (read.as !== 'measure') return null;
  const bare = unit.replace(/^in\s+(?=\S)/i, '').trim();
  const units: readonly string[] = read.of === 'length' ? ['mm', 'cm', 'in', 'inch'] : Object.keys((QUANTITIES[read.of] as { units?: object }).units ?? {}); // prettier-ignore
  return units.find((one) => plain(one) === plain(bare)) ?? null;
}

/** Names that a column goes by, as headings are compared. */
const namesOf = ({ id, title, also }: Column): string[] =>
  [id, title.split(',')[0]!, ...also].map((name) => plain(name));

function mappedTo(columns: readonly Column[], heading: string): Mapped {
  const whole = plain(heading);
  const as = columns.find((column) => namesOf(column).includes(whole));
  if (as) return { heading, column: as.id, unit: null };
  const parts = parted(heading);
  if (!parts) return { heading, column: null, unit: null };
  for (const column of columns) {
    const unit = namesOf(column).includes(parts.name) ? unitIn(column, parts.unit) : null;
    if (unit !== null) return { heading, column: column.id, unit };
  }
  return { heading, column: null, unit: null };
}

/**
 * What the headings of a sheet are taken for: whatever their case, their separators and the units in them. A column is
 * taken from the first heading that says it.
 */
export function proposedMapping(table: BulkTable, headings: readonly string[]): Mapped[] {
  const taken = new Set<string>();
  return headings.map((heading) => {
    const mapped = mappedTo(COLUMNS[table], heading);
    if (mapped.column === null || taken.has(mapped.column)) return { heading, column: null, unit: null };
    taken.add(mapped.column);
    return mapped;
  });
}

/**
 * Which table a sheet holds: what its name says, or the table of which it has most columns and all that are needed.
 *
 * @returns null where that cannot be told
 */
export function proposedTable(name: string, headings: readonly string[]): BulkTable | null {
  const called = plain(name);
  const scored = BULK_TABLES.map((table) => {
    const mapping = proposedMapping(table, headings);
    const found = new Set(mapping.map(({ column }) => column));
    const known = mapping.filter(({ column }) => column !== null).length;
    const whole = COLUMNS[table].every((column) => !column.needed || found.has(column.id));
    const named = called.split(' ').some((word) => NAMES[table].includes(word));
    return { table, score: known === 0 ? 0 : known + (whole ? 100 : 0) + (named ? 1000 : 0) };
  });
  const best = scored.reduce((a, b) => (b.score > a.score ? b : a));
  const isTold =
    best.score > 0 && scored.every(({ table, score }) => table === best.table || score < best.score);
  return isTold ? best.table : null;
}

const NAMES: Readonly<Record<BulkTable, readonly string[]>> = {
  area: ['area', 'areas'],
  cable: ['cable', 'cables', 'schedule'],
  enclosure: ['enclosure', 'enclosures', 'boxes', 'equipment'],
  entry: ['entry', 'entries', 'glands'],
  instrument: ['instrument', 'instruments'],
};
