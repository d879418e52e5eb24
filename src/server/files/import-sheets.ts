import { ulid } from 'ulid';
import { COLUMNS, type BulkTable } from '../../core/bulk/columns';
import { entriesForEnds, MOST_TOLD } from '../../core/bulk/ends';
import { proposedMapping, proposedTable } from '../../core/bulk/headings';
import type { SheetSaid, SheetsPreview, SheetTaken } from '../../core/bulk/preview';
import { readSheets, type BulkRow, type Sheet, type SheetAs } from '../../core/bulk/sheets';
import type { KindId } from '../../core/record/kind-ids';
import type { SiteStore } from '../../store/site-store';
import { recordOffences } from '../../shapes/parse';
import { toCsv } from './csv';
import { TOLD_EVERY, type Told } from './import-preview';
import { readSpreadsheet } from './spreadsheet';

/** A file that is looked at. */
export interface SheetsFile {
  bytes: Uint8Array;
  name: string;
  /** What its sheets are to be taken for; what is not said is proposed. */
  said: readonly SheetSaid[];
}

/** Column of a file of refused rows that says why; it is left out when the file is brought again. */
const WHY = 'why it was refused';

/**
 * What the sheets of a workbook or table would add and change on a site. Nothing is written.
 *
 * @returns what is wrong with the file where nothing of it can be read
 */
export async function previewSheets(
  store: SiteStore,
  file: SheetsFile,
  told: Told = () => undefined,
): Promise<SheetsPreview | { fault: string }> {
  const read = await readSpreadsheet(file.bytes, file.name);
  if ('fault' in read) return read;
  const taken = read.sheets.map((sheet) =>
    takenAs(
      sheet,
      file.said.find(({ name }) => name === sheet.name),
    ),
  );
  const sheets = read.sheets.flatMap((sheet, i): SheetAs[] => {
    const { table, mapping, missing } = taken[i]!;
    return table === null || missing.length > 0 ? [] : [{ ...sheet, table, mapping }];
  });
  const all = sheets.reduce((sum, { rows }) => sum + rows.length, 0);
  const { rows, items } = readSheets(store.records, sheets, {
    site: store.id,
    id: ulid,
    faults: (table, record) => recordOffences(table, record),
    told: (done) => done % TOLD_EVERY === 0 && told(done, all),
  });
  const counts = { add: 0, change: 0, same: 0, refused: 0 };
  for (const { action } of rows) counts[action]++;
  const worthTelling = rows.filter(({ action, notes }) => action !== 'same' || notes.length > 0);
  const first = [...worthTelling].sort(
    (a, b) => Number(b.action === 'refused') - Number(a.action === 'refused'),
  );
  return { sheets: taken, rows: first.slice(0, MOST_TOLD), counts, items, refused: refusedOf(sheets, rows) };
}

/** What a sheet is taken for: as it is said, or as its name and headings say. */
function takenAs({ name, headings, rows }: Sheet, said: SheetSaid | undefined): SheetTaken {
  const table = said ? said.table : proposedTable(name, headings);
  const known = said?.mapping?.every(({ heading }, i) => heading === headings[i]) ? said.mapping : null;
  const left = headings.map((heading) => ({ heading, column: null, unit: null }));
  const mapping = table === null ? left : (known ?? proposedMapping(table, headings));
  return {
    name,
    table,
    mapping,
    rows: rows.length,
    missing: table === null ? [] : missingOf(table, mapping),
  };
}

/** Columns without which no row can be read. */
function missingOf(table: BulkTable, mapping: SheetTaken['mapping']): string[] {
  const found = new Set(mapping.map(({ column }) => column));
  return COLUMNS[table].filter(({ id, needed }) => needed && !found.has(id)).map(({ title }) => title);
}

/** The rows that are refused as they stood, each with the reason. */
function refusedOf(sheets: readonly SheetAs[], rows: readonly BulkRow[]): SheetsPreview['refused'] {
  return sheets.flatMap(({ name, headings, rows: own }) => {
    const why = new Map(rows.filter(({ sheet, action }) => sheet === name && action === 'refused').map(({ row, why: said }) => [row, said.join(' ')])); // prettier-ignore
    if (why.size === 0) return [];
    const columns = [WHY, ...headings.map((heading, i) => heading || `column ${i + 1}`)];
    const cells = own.filter(({ row }) => why.has(row)).map((one) => ({ [WHY]: why.get(one.row), ...Object.fromEntries(one.cells.map((cell, i) => [columns[i + 1]!, cell])) })); // prettier-ignore
    return [{ sheet: name, csv: toCsv(columns, cells) }];
  });
}

/** An entry for each cable end that has none: see {@link entriesForEnds}. */
export const previewEnds = (store: SiteStore, kind: KindId): SheetsPreview =>
  entriesForEnds(store.records, store.id, kind, ulid);
