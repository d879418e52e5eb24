import ExcelJS from 'exceljs';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { expect, it } from 'vitest';
import { clickText, fetchAs, openAs, openPage, waitForText } from './harness';
import { withDemo } from './with-demo';

const demo = withDemo();
const folder = mkdtempSync(join(tmpdir(), 'yendral-plant-'));

const ENCLOSURES = 60;
const ENTRIES = 300;
/** What it may take to set a plant up, from nothing to its first judged entry. */
const MOST_ACTIONS = 30;

/** A plant as an office has it: a workbook with a sheet for each table, its headings and units its own. */
async function workbook(certificate: string, size: string): Promise<string> {
  const book = new ExcelJS.Workbook();
  const sheet = (name: string, ...rows: (string | number)[][]) => book.addWorksheet(name).addRows(rows);
  const box = (i: number) => `PB-${101 + (i % ENCLOSURES)}`;
  const many = <R>(n: number, row: (i: number) => R): R[] => Array.from({ length: n }, (_, i) => row(i));
  sheet('Areas', ['Area name', 'Zone', 'Gas group', 'T-class', 'Ambient min (°C)', 'Ambient max (°C)'], ['Press hall', 1, 'IIB', 'T3', -10, 40], ['Tank yard', 'Zone 2', 'IIB', 'T3', -20, 40]);
  sheet('Enclosures', ['Tag', 'Description', 'Location', 'Ex protection', 'Group', 'IP', 'Volume [dm³]', 'Remarks'], ...many(ENCLOSURES, (i) => [box(i), 'junction box', i < 30 ? 'Press hall' : 'Tank yard', 'Ex eb', 'IIC', 'IP66', 2.5, 'new']));
  sheet('Cable schedule', ['Cable no.', 'From', 'To', 'Length (ft)', 'Inner sheath (mm)', 'Armour', 'Armour wire', 'OD (mm)'], ...many(ENTRIES / 2, (i) => [`C-${1001 + i}`, box(2 * i), box(2 * i + 1), 120, 14.7, 'SWA', 1.25, 20.7]));
  sheet('Glands', ['Enclosure', 'Gland no', 'Gland type', 'Certificate', 'Gland size', 'Cable'], ...many(ENTRIES, (i) => [box(i), 'ABCDE'[Math.floor(i / ENCLOSURES)]!, 'double-seal gland', certificate, size, `C-${1001 + Math.floor(i / 2)}`]));
  sheet('Instruments', ['Tag', 'Kind', 'Unit', 'Span from', 'Span to', 'Resolution', 'U', 'k', 'Repeatability', 'Calibration due'], ['CAL-1', 'caliper', 'mm', 0, 150, 0.01, 0.03, 2, 0.02, '2027-06-30']);
  const file = join(folder, 'plant.xlsx');
  await book.xlsx.writeFile(file);
  return file;
} // prettier-ignore

interface Records {
  certificate: { id: string; site: string; number: string }[];
  entry: { id: string; certificate: string; size: string }[];
}

/** A hand that counts what it does. */
function countingHand(page: Page) {
  let actions = 0;
  return {
    actions: () => actions,
    press: (selector: string, words: string) => (actions++, clickText(page, selector, words)),
    type: async (field: ElementHandle, text: string) => (actions++, field.type(text)),
    choose: async (selector: string, file: string) => {
      actions++;
      const input = (await page.waitForSelector(`${selector} input[type="file"]`)) as ElementHandle<HTMLInputElement>; // prettier-ignore
      await input.uploadFile(file);
    },
  };
}

it('a plant of 300 entries is set up from two files, to its first judged entry, in few actions', async () => {
  const { page, errors } = await openPage(demo.browser);
  await openAs(page, demo.served, 'R. Tarn', '/dossier/?new=site');
  const records = (await (
    await fetchAs(demo.served.address, '/api/sites/marrowick/export/site.json')
  ).json()) as Records;
  const fitted = records.entry.find(({ id }) => id === 'mb-jb-204-d')!;
  const {
    id: _id,
    site: _site,
    ...certificate
  } = records.certificate.find(({ id }) => id === fitted.certificate)!;
  const cert = join(folder, 'certificate.json');
  writeFileSync(cert, JSON.stringify({ format: 'yendral-certificate-1', certificate }));
  const plant = await workbook(certificate.number, fitted.size);

  const hand = countingHand(page);
  await hand.type((await page.waitForSelector('.record-form input'))!, 'Sollerby Oils');
  await hand.press('.record-form button', 'Save');
  await page.waitForSelector('nav[aria-label="Parts of the dossier"]');
  await hand.press('nav[aria-label="Parts of the dossier"] button', 'Import');
  await hand.choose('[aria-label="Certificates"]', cert);
  await waitForText(page, '.preview', 'new');
  await hand.press('[aria-label="Certificates"] button', 'Take them in');
  await waitForText(page, '.toast', 'taken in');
  await waitForText(page, '[role="status"]', 'Everything sent');
  await hand.choose('[aria-label="Take in sheets"]', plant);
  await waitForText(page, '[aria-label="Take in sheets"]', '513 new records');
  await waitForText(page, '[aria-label="Take in sheets"]', '0 refused');
  await hand.press('[aria-label="Take in sheets"] button', 'Take in 513 records');
  await waitForText(page, '.toast', '513 records from plant.xlsx are taken in');

  // The same file again changes nothing.
  await (await page.$('[aria-label="Take in sheets"] input[type="file"]') as ElementHandle<HTMLInputElement>).uploadFile(plant); // prettier-ignore
  await waitForText(page, '[aria-label="Take in sheets"]', '513 as on file');
  await waitForText(page, '[aria-label="Take in sheets"]', 'holds nothing that is not on file');

  await hand.press('header a', 'Standing');
  await page.waitForSelector('.stops tr[data-row]');
  await hand.press('.stops a', 'PB-101, entry A');
  await waitForText(page, 'h1', 'PB-101, entry A');
  await hand.press('button', 'Start a detailed round');
  const field = (await page.waitForSelector('.typing input:not(:disabled)'))!;
  for (const value of ['1.25', '1.24', '1.25']) {
    await hand.type(field, value);
    await page.keyboard.press('Enter');
  }
  await waitForText(page, '.place', '1.25 ±');
  await waitForText(page, '.judgement', 'unread of');
  expect(hand.actions()).toBeLessThanOrEqual(MOST_ACTIONS);
  expect(errors).toEqual([]);
  await page.close();
});

it('says what cannot be taken, row by row, keeps what headings were taken for, and takes all of it back in one', async () => {
  const { page, errors } = await openPage(demo.browser);
  await openAs(page, demo.served, 'R. Tarn', '/dossier/?site=oxgate&table=files');
  const choose = async (name: string, text: string) => {
    const file = join(folder, name);
    writeFileSync(file, text);
    const input = (await page.waitForSelector('[aria-label="Take in sheets"] input[type="file"]')) as ElementHandle<HTMLInputElement>; // prettier-ignore
    await input.uploadFile(file);
  };
  const panel = '[aria-label="Take in sheets"]';
  await choose('list.csv', 'Bezeichnung;Bereich\nSK-1;Malting floor\nSK-2;Nowhere\n');
  await waitForText(page, `${panel} .sheet-mapping`, 'holds');
  await page.select(`${panel} .sheet-mapping select`, 'enclosure');
  await waitForText(page, `${panel} [role="alert"]`, 'No heading says Enclosure, Area');
  await page.select(`${panel} select[aria-label="What “Bezeichnung” holds"]`, 'enclosure');
  await waitForText(page, `${panel} [role="alert"]`, 'No heading says Area');
  await page.select(`${panel} select[aria-label="What “Bereich” holds"]`, 'area');
  await waitForText(page, panel, '1 new record');
  await waitForText(page, `${panel} tr`, '“Nowhere” is not on file'.replace('“', '"').replace('”', '"'));
  await waitForText(page, panel, 'list refused (CSV)');
  // Another file with the same headings is taken as this one was.
  await choose('next.csv', 'Bezeichnung;Bereich\nSK-3;Malting floor\n=SK-4;Silo head\n');
  await waitForText(page, panel, '2 new records');
  await clickText(page, `${panel} button`, 'Take in 2 records');
  await waitForText(page, '.toast', '2 records from next.csv are taken in');
  await waitForText(page, 'nav[aria-label="Parts of the dossier"] button', 'Enclosures5');
  await clickText(page, '.toast button', 'Undo');
  await waitForText(page, '.toast', 'Undone');
  await waitForText(page, 'nav[aria-label="Parts of the dossier"] button', 'Enclosures3');
  expect(errors).toEqual([]);
  await page.close();
});
