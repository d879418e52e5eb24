import type { ImportItem } from '../commands/commands';
import { canonicalHash } from '../record/seal';
import type { Slice } from '../record/slice';
import type { Id } from '../record/types';
import { BLANK } from './blank';
import { BULK_TABLES, BULK_WORDS, COLUMNS, KEYS, type BulkTable, type Column } from './columns';
import { filled, put, type Cell, type Filling } from './fill';
import type { Mapped } from './headings';
import { OnFile } from './on-file';
import { anywhere, placed } from './placed';

/** A sheet as it was read: its headings and its rows, by the numbers that they have in the spreadsheet. */
export interface Sheet {
  name: string;
  headings: string[];
  rows: { row: number; cells: string[] }[];
}

/** A sheet with what it is taken for. */
export interface SheetAs extends Sheet {
  table: BulkTable;
  mapping: readonly Mapped[];
}

/** What a row would change. */
export interface BulkRow {
  sheet: string;
  row: number;
  what: string;
  action: 'add' | 'change' | 'same' | 'refused';
  /** Fields that it would change. */
  fields: string[];
  /** Why it is refused, each a sentence that begins with its column. */
  why: string[];
  /** What of it stays not recorded, and why. */
  notes: string[];
}

export interface BulkRead {
  rows: BulkRow[];
  /** Records that are new or changed, in the order in which they refer to each other. */
  items: ImportItem[];
}

export interface Reading {
  site: Id;
  /** Makes an id. */
  id: () => Id;
  /** What is wrong with a record, each with its field. */
  faults: (table: BulkTable, record: object) => { field: string; message: string }[];
  /** Told how many rows have been read. */
  told?: (done: number) => void;
}

/**
 * What sheets would add and change on a site. A blank cell leaves what is on file; of a new record it is not recorded.
 * A row that cannot be taken is refused with the reason, and so is each that refers to it. Nothing is written.
 */
export function readSheets(slice: Slice, sheets: readonly SheetAs[], reading: Reading): BulkRead {
  const file = new OnFile(slice, reading.site);
  const read: BulkRead = { rows: [], items: [] };
  let done = 0;
  for (const table of BULK_TABLES) {
    for (const sheet of sheets) {
      if (sheet.table !== table) continue;
      for (const row of sheet.rows) {
        new RowRead(file, sheet, row, reading).into(read);
        reading.told?.(++done);
      }
    }
  }
  return { rows: inTheirOrder(read.rows, sheets), items: placed(file, read.items) };
}

/** Rows as they stand in the file, sheet by sheet. */
function inTheirOrder(rows: BulkRow[], sheets: readonly SheetAs[]): BulkRow[] {
  const order = new Map(sheets.map(({ name }, i) => [name, i]));
  return rows.sort((a, b) => order.get(a.sheet)! - order.get(b.sheet)! || a.row - b.row);
}

/** One row, read. */
class RowRead {
  readonly #said: BulkRow;
  readonly #cells: Cell[];

  constructor(
    private readonly file: OnFile,
    private readonly sheet: SheetAs,
    row: Sheet['rows'][number],
    private readonly reading: Reading,
  ) {
    const columns = new Map(COLUMNS[sheet.table].map((column) => [column.id, column]));
    this.#cells = sheet.mapping.flatMap(({ column, unit }, i) => {
      const text = row.cells[i]?.trim() ?? '';
      return column === null || text === '' ? [] : [{ column: columns.get(column)!, unit, text }];
    });
    const key = KEYS[sheet.table].map((id) => this.#cellOf(id)?.text ?? '?');
    this.#said = { sheet: sheet.name, row: row.row, what: key.join(', entry '), action: 'refused', fields: [], why: [], notes: [] }; // prettier-ignore
  }

  into(read: BulkRead): void {
    const record = this.#record();
    if (record) this.#compare(record, read);
    else this.file.refuse(this.sheet.table, this.#said.what);
    read.rows.push(this.#said);
  }

  #cellOf(id: string): Cell | undefined {
    return this.#cells.find(({ column }) => column.id === id);
  }

  #fault(column: Pick<Column, 'id'>, message: string): void {
    this.#said.why.push(`${column.id}: ${message}`);
  }

  /** The row as a record; null where it cannot be taken. */
  #record(): Filling | null {
    const { table } = this.sheet;
    for (const id of KEYS[table]) if (!this.#cellOf(id)) this.#fault({ id }, 'is blank; each row needs it.');
    if (this.#said.why.length > 0) return null;
    const enclosure = table === 'entry' ? this.#refersTo(this.#cellOf('enclosure')!, 'enclosure') : null;
    if (this.#said.why.length > 0) return null;
    const key = this.#cellOf(KEYS[table].at(-1)!)!.text;
    const twin = this.file.seen(table, key, enclosure);
    if (twin) {
      this.#said.why.push(`${this.#said.what} stands in row ${twin.row} already; keep one of them.`);
      return null;
    }
    this.file.see(table, key, enclosure, this.#said.row);
    const before = this.file.find(table, key, enclosure);
    if (!before) this.#needs();
    const base: Filling = { ...(before ?? { id: this.reading.id(), ...BLANK[table] }) };
    const record = this.#filled(base);
    if (this.#said.why.length > 0) return null;
    for (const { field, message } of this.reading.faults(table, anywhere(record))) this.#said.why.push(`${this.#nameOf(field)}: ${message}`);
    return this.#said.why.length > 0 ? null : record;
  } // prettier-ignore

  /** What a new record cannot be without. */
  #needs(): void {
    for (const column of COLUMNS[this.sheet.table])
      if (column.needed && !this.#cellOf(column.id)) this.#fault(column, `is blank; a new ${BULK_WORDS[this.sheet.table].one} needs it.`);
  } // prettier-ignore

  #filled(base: Filling): Filling {
    let record = base;
    for (const cell of this.#cells) {
      const { column } = cell;
      const said = column.read.as === 'refers' ? this.#referring(record, cell) : filled(record, cell);
      if ('fault' in said) this.#fault(column, String(said.fault));
      else record = said as Filling;
    }
    return this.#whole(record);
  }

  #referring(record: Filling, cell: Cell): Filling {
    const { column } = cell;
    const to = (column.read as { to: 'area' | 'cable' | 'certificate' | 'enclosure' }).to;
    const id = this.#refersTo(cell, to);
    return id === null ? record : put(record, column.path, id);
  }

  /** The record that a cell names; null, with the reason said, where there is none. */
  #refersTo({ column, text }: Cell, to: 'area' | 'cable' | 'certificate' | 'enclosure'): Id | null {
    const found = this.file.named(to, text);
    if (found !== null) return found;
    const isRefused = to !== 'certificate' && this.file.isRefused(to, text);
    const message = isRefused
      ? `"${text}" is refused itself; mend its row first.`
      : `"${text}" is not on file and in none of the sheets; add it, or bring its ${to} first.`;
    if (!this.#said.why.includes(`${column.id}: ${message}`)) this.#fault(column, message);
    return null;
  }

  /** Leaves out what cannot be kept in part, and says so. */
  #whole(record: Filling): Filling {
    const cores = (record.cores ?? []) as Filling[];
    if (
      cores.length > 0 &&
      !['count', 'areaMm2', 'diameterMm'].every((field) => cores[0]![field] !== undefined)
    ) {
      this.#said.notes.push('Cores stay not recorded: they need their number, area and diameter.');
      record = { ...record, cores: cores.slice(1) };
    }
    const armour = record.armour as Filling | null | undefined;
    if (armour && armour.type === null) {
      this.#said.notes.push('The armour stays not recorded: its type is blank.');
      record = { ...record, armour: null };
    }
    return record;
  }

  /** The column that fills a field, or the field itself. */
  #nameOf(field: string): string {
    return COLUMNS[this.sheet.table].find(({ path }) => path === field)?.id ?? field;
  }

  #compare(record: Filling, read: BulkRead): void {
    const { table } = this.sheet;
    const before = this.file.byId(table, record.id as Id);
    const fields = Object.keys(record).filter((field) => field !== 'id' && canonicalHash(record[field] ?? null) !== canonicalHash(before?.[field] ?? null)); // prettier-ignore
    this.#said.fields = before ? fields : [];
    this.#said.action = before === null ? 'add' : fields.length > 0 ? 'change' : 'same';
    this.file.put(table, record);
    if (this.#said.action !== 'same') read.items.push({ table, record: record as never } as ImportItem);
  }
}
