import ExcelJS from 'exceljs';
import { describe, expect, it } from 'vitest';
import { readSpreadsheet } from './spreadsheet';

const csv = (text: string) => readSpreadsheet(new TextEncoder().encode(text), 'areas.csv');

async function workbook(fill: (book: ExcelJS.Workbook) => void): Promise<Uint8Array> {
  const book = new ExcelJS.Workbook();
  fill(book);
  return new Uint8Array(await book.xlsx.writeBuffer());
}

const fault = (read: object) => ('fault' in read ? String(read.fault) : '');

describe('a table', () => {
  it.each([',', ';', '\t'])('is read whatever stands between its cells: %j', async (between) => {
    const blank = `${between}${between}`;
    const text = [['area', 'substances'], ['Hall', 'hexane'], ['Yard', 'none']].map((row) => row.join(between)).join('\r\n'); // prettier-ignore
    expect(await csv(`\uFEFF${text}\r\n\r\n${blank}\r\n`)).toEqual({
      sheets: [{ name: 'areas', headings: ['area', 'substances'], rows: [{ row: 2, cells: ['Hall', 'hexane'] }, { row: 3, cells: ['Yard', 'none'] }] }],
    }); // prettier-ignore
  });

  it('keeps the row numbers of the spreadsheet, blank rows and lines within a cell counted', async () => {
    const read = await csv('\narea,what\n\n"Hall","two\nlines"\nYard,\n');
    expect(read).toMatchObject({ sheets: [{ rows: [{ row: 4 }, { row: 5 }] }] });
  });

  it.each([
    ['', 'holds no rows'],
    ['area,zone\n', 'holds no rows'],
    ['\u0000\u0001', 'is no text'],
    [`area\n${'x\n'.repeat(5001)}`, 'more than 5000 rows'],
    ['area\n"Hall', 'Line'],
  ])('that cannot be read says why: %#', async (text, why) => {
    expect(fault(await csv(text))).toContain(why);
  });
});

describe('a workbook', () => {
  it('is read sheet by sheet: figures, days, formulas and what is marked up, as text', async () => {
    const bytes = await workbook((book) => {
      const sheet = book.addWorksheet('Cables');
      sheet.addRow(['cable', 'outer', 'day', 'sum', 'rich', 'yes']);
      sheet.addRow([]);
      sheet.addRow(['C-1', 0.1 + 0.2, new Date(Date.UTC(2026, 2, 31)), { formula: '1+1', result: 2 }, { richText: [{ text: 'a' }, { text: 'b' }] }, true]); // prettier-ignore
      book.addWorksheet('Empty');
      book.addWorksheet('Hidden', { state: 'hidden' }).addRow(['x']);
    });
    expect(await readSpreadsheet(bytes, 'x.xlsx')).toEqual({
      sheets: [
        {
          name: 'Cables',
          headings: ['cable', 'outer', 'day', 'sum', 'rich', 'yes'],
          rows: [{ row: 3, cells: ['C-1', '0.3', '2026-03-31', '2', 'ab', 'yes'] }],
        },
      ],
    });
  });

  it('of too many cells is refused before it is unpacked', async () => {
    const bytes = await workbook((book) => {
      const sheet = book.addWorksheet('Large');
      for (let i = 0; i < 5050; i++) sheet.addRow(Array(100).fill(1));
    });
    expect(fault(await readSpreadsheet(bytes, 'x.xlsx'))).toContain('cells');
  });

  it.each([
    ['a zip that ends early', async () => (await workbook((book) => book.addWorksheet('A').addRow(['x']))).slice(0, 900)], // prettier-ignore
    ['no workbook', () => Promise.resolve(new TextEncoder().encode('PK\u0003\u0004 and nothing more'))],
  ])('that is %s says so', async (_what, made) => {
    expect(fault(await readSpreadsheet(await made(), 'x.xlsx'))).toMatch(/damaged|no workbook/);
  });
});
