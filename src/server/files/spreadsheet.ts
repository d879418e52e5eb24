import type ExcelJS from 'exceljs';
import Papa from 'papaparse';
import yauzl from 'yauzl';
import type { Sheet } from '../../core/bulk/sheets';
import { formFault, MOST_COLUMNS, MOST_ROWS } from './csv';

/** Bytes that a workbook may have when it is unpacked. Chosen: ten times that of the largest site that is taken in. */
const MOST_UNPACKED = 64_000_000;
/** Cells that a workbook may have. Chosen: what is read within the memory of a worker. */
const MOST_CELLS = 500_000;

/** Sheets of a file, or why it cannot be read. */
export type SheetsRead = { sheets: Sheet[] } | { fault: string };

/** Rows by which it is told what stands between cells. Chosen: the first screen of a table. */
const GUESSED_BY = 50;

/** Digits that a number of a spreadsheet is read to: what binary fractions leave behind is no figure that anybody typed. */
const DIGITS = 12;

/**
 * Reads a workbook (XLSX) or a table (CSV; commas, semicolons or tabs) as sheets of text.
 *
 * @param name of the file; what a table without a name of its own is called
 */
export async function readSpreadsheet(bytes: Uint8Array, name: string): Promise<SheetsRead> {
  const isZip = bytes[0] === 0x50 && bytes[1] === 0x4b;
  const read = isZip
    ? await readWorkbook(Buffer.from(bytes))
    : readTable(new TextDecoder().decode(bytes), name);
  if ('fault' in read) return read;
  const long = read.sheets.find(({ rows }) => rows.length > MOST_ROWS);
  if (long) return { fault: `The sheet ${long.name} holds more than ${MOST_ROWS} rows; split it.` };
  const sheets = read.sheets.filter(({ rows }) => rows.length > 0);
  return sheets.length > 0
    ? { sheets }
    : { fault: 'The file holds no rows under a heading; add a row for each record.' };
}

function readTable(text: string, name: string): SheetsRead {
  const plain = text.replace(/^\uFEFF/, '');
  const fault = formFault(plain);
  if (fault) return { fault: `The file ${fault}` };
  // Blank lines say nothing of what stands between cells, and are lines all the same.
  const { meta } = Papa.parse(plain, {
    delimitersToGuess: [',', ';', '\t'],
    skipEmptyLines: 'greedy',
    preview: GUESSED_BY,
  });
  const { data, errors } = Papa.parse<string[]>(plain, { delimiter: meta.delimiter, preview: 2 * MOST_ROWS });
  const broken = errors.find(({ code }) => code !== 'UndetectableDelimiter');
  if (broken) return { fault: `Line ${(broken.row ?? 0) + 1}: ${broken.message}.` };
  return {
    sheets: [
      sheetOf(
        name.replace(/\.[^.]*$/, ''),
        data.map((cells, i) => ({ row: i + 1, cells })),
      ),
    ],
  };
}

/** A sheet of rows of which the first that is not blank is the heading. */
function sheetOf(name: string, rows: Sheet['rows']): Sheet {
  const [heading, ...rest] = rows.filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));
  return { name, headings: (heading?.cells ?? []).map((cell) => cell.trim()), rows: rest };
}

async function readWorkbook(bytes: Buffer): Promise<SheetsRead> {
  const fault = await unpackedFault(bytes);
  if (fault) return { fault };
  // Loaded by whoever reads a workbook: it is large.
  const { default: library } = await import('exceljs');
  const book = new library.Workbook();
  try {
    await book.xlsx.load(bytes as unknown as ArrayBuffer);
  } catch {
    return { fault: 'The workbook cannot be read; save it again as XLSX, or as CSV.' };
  }
  return { sheets: book.worksheets.filter(({ state }) => state === 'visible').map(sheetOfBook) };
}

function sheetOfBook(sheet: ExcelJS.Worksheet): Sheet {
  const rows: Sheet['rows'] = [];
  sheet.eachRow((row, number) => {
    const cells: string[] = [];
    for (let i = 1; i <= Math.min(row.cellCount, MOST_COLUMNS); i++) cells.push(textOf(row.getCell(i).value));
    rows.push({ row: number, cells });
  });
  return sheetOf(sheet.name, rows);
}

/** What a cell says, as text: of a formula its result; a fault of the spreadsheet as it is shown there. */
function textOf(value: ExcelJS.CellValue): string {
  if (value === null || value === undefined) return '';
  if (typeof value === 'number') return String(Number(value.toPrecision(DIGITS)));
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (value instanceof Date) return value.toISOString().slice(0, 10);
  if (typeof value === 'string') return value.trim();
  if ('richText' in value) return value.richText.map(({ text }) => text).join('').trim(); // prettier-ignore
  if ('text' in value) return String(value.text).trim();
  if ('error' in value) return String(value.error);
  return textOf((value as { result?: ExcelJS.CellValue }).result ?? null);
}

/** Why a zip is not unpacked: what it says of itself, and what comes out of it, is too much. Null when it may be. */
function unpackedFault(bytes: Buffer): Promise<string | null> {
  return new Promise((resolve) => {
    yauzl.fromBuffer(bytes, { lazyEntries: true }, (error, zip) => {
      if (error) return resolve('The workbook is damaged; save it again as XLSX.');
      let [unpacked, cells, isBook] = [0, 0, false];
      const done = (fault: string | null) => {
        zip.close();
        resolve(fault);
      };
      zip.on('error', () => done('The workbook is damaged; save it again as XLSX.'));
      zip.on('end', () =>
        done(isBook ? null : 'The file is no workbook; choose one saved as XLSX, or a CSV file.'),
      );
      zip.on('entry', (entry: yauzl.Entry) => {
        unpacked += entry.uncompressedSize;
        isBook ||= entry.fileName === 'xl/workbook.xml';
        if (unpacked > MOST_UNPACKED) return done('The workbook is too large when it is unpacked; split it.');
        if (!/^xl\/worksheets\/[^/]+\.xml$/.test(entry.fileName)) return zip.readEntry();
        countCells(zip, entry, (found) => {
          if (found === null) return done('The workbook is damaged; save it again as XLSX.');
          cells += found;
          if (cells > MOST_CELLS) return done(`The workbook holds more than ${MOST_CELLS} cells; split it, or take out what is not needed.`); // prettier-ignore
          zip.readEntry();
        });
      });
      zip.readEntry();
    });
  });
}

/** How many cells a sheet has, without keeping any of it; null where it cannot be read. */
function countCells(zip: yauzl.ZipFile, entry: yauzl.Entry, told: (cells: number | null) => void): void {
  zip.openReadStream(entry, (error, stream) => {
    if (error) return told(null);
    let [cells, rest] = [0, ''];
    stream.on('data', (piece: Buffer) => {
      const text = rest + piece.toString('latin1');
      cells += text.match(/<c[\s>]/g)?.length ?? 0;
      // A tag may lie across two pieces.
      rest = /<c?$/.exec(text)?.[0] ?? '';
      if (cells > MOST_CELLS) stream.destroy();
    });
    stream.on('error', () => told(null));
    stream.on('close', () => told(cells));
  });
}
