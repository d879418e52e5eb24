import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import type { RegisterRow } from '../../src/client/api';
import { clickText, fetchAs, openAs, openBrowser, openPage, serveDemo, waitForText, type Served } from './harness'; // prettier-ignore

let served: Served;
let browser: Browser;
let close: () => Promise<void>;
let page: Page;
let errors: string[];
beforeAll(async () => {
  served = await serveDemo({ seeded: inject('seeded') });
  ({ browser, close } = await openBrowser());
  ({ page, errors } = await openPage(browser));
});
afterAll(async () => {
  await close();
  await served.stop();
});

const register = async (tag: string) => {
  const rows = (await (await fetchAs(served.address, '/api/instruments/')).json()) as RegisterRow[];
  return rows.find(({ instrument }) => instrument.tag === tag)!;
};
const listed = () =>
  page.$$eval('.records tr', (all) => all.map((one) => one.textContent!).filter((text) => text.includes('Caliper 12'))); // prettier-ignore

describe('the register of instruments', () => {
  it('lends one to a site', async () => {
    await openAs(page, served, 'A. Vell', '/dossier/?site=oxgate&table=instrument');
    await waitForText(page, '.records tr', 'Caliper 07');
    expect(await listed()).toEqual([]);
    await clickText(page, 'button', 'From the register');
    const search = await page.waitForSelector('[aria-label="Search the register"]');
    await search!.type('caliper no site');
    await waitForText(page, 'tr', 'Caliper 12');
    expect(await page.$$eval('[role="dialog"] tr', (rows) => rows.length)).toBe(1);
    // On a phone too the button is in reach.
    await page.setViewport({ width: 390, height: 844 });
    const right = await page.$eval('tr button', (button) => button.getBoundingClientRect().right);
    expect(right).toBeLessThanOrEqual(390);
    await page.setViewport({ width: 1280, height: 800 });
    await clickText(page, 'tr button', 'Lend');
    await waitForText(page, '.records tr', 'Caliper 12');
    expect((await register('Caliper 12')).sites).toEqual([{ id: 'oxgate', name: 'Oxgate Malt' }]);
  });

  it('says why one cannot be lent', async () => {
    await clickText(page, 'button', 'From the register');
    const search = await page.waitForSelector('[aria-label="Search the register"]');
    await search!.type('tape marrowick');
    await clickText(page, 'tr button', 'Lend');
    await waitForText(page, '[role="alert"]', 'The site has another instrument called Tape 11.');
    await page.keyboard.press('Escape');
    await page.waitForFunction(() => !document.querySelector('[role="dialog"]'));
  });

  it('a recalibration at one site is the register’s, and stands in the list once', async () => {
    await clickText(page, '.records button', 'Caliper 12');
    const field = await page.waitForSelector('[data-path="calibration"] input');
    await field!.click({ count: 3 });
    await field!.type('CAL 2312');
    await clickText(page, 'button', 'Save');
    await waitForText(page, '.records tr', 'Caliper 12');
    expect((await register('Caliper 12')).instrument.calibration).toBe('CAL 2312');
    expect(await listed()).toHaveLength(1);
  });

  it('without the server what is typed stays, and is said to', async () => {
    await page.waitForFunction(() => document.body.textContent!.includes('Everything sent'));
    await clickText(page, '.records button', 'Caliper 12');
    const field = await page.waitForSelector('[data-path="calibration"] input');
    await field!.click({ count: 3 });
    await field!.type('CAL 2412');
    await page.setOfflineMode(true);
    await clickText(page, 'button', 'Save');
    await waitForText(page, '[role="alert"]', 'what is typed stays here');
    expect(await field!.evaluate((input) => (input as HTMLInputElement).value)).toBe('CAL 2412');
    await page.setOfflineMode(false);
    expect(errors).toEqual([]);
  });
});
