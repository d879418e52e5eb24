import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { clickText, openAs, openBrowser, openPage, serveDemo, waitForText, type Served } from './harness';

let served: Served;
let browser: Browser;
let close: () => Promise<void>;
let page: Page;
let errors: string[];
const folder = mkdtempSync(join(tmpdir(), 'yendral-files-'));
beforeAll(async () => {
  served = await serveDemo({ seeded: inject('seeded') });
  ({ browser, close } = await openBrowser());
  ({ page, errors } = await openPage(browser));
  const session = await page.createCDPSession();
  await session.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: folder, browserContextId: page.browserContext().id }); // prettier-ignore
  await openAs(page, served, 'A. Vell', '/report/?site=proving-ground');
  await page.waitForSelector('.files a');
  await listen();
});
afterAll(async () => {
  await close();
  await served.stop();
});
/** Keeps what the bar says, however short it stands. */
async function listen() {
  await page.evaluate(() => {
    const said: string[] = [];
    (window as unknown as { said: string[] }).said = said;
    new MutationObserver(() => {
      const text = document.querySelector('.task')?.textContent;
      if (!text) return;
      said.push(text);
      const bar = document.querySelector('.task [role="progressbar"]');
      if (bar) (window as unknown as { bar: number }).bar = bar.getBoundingClientRect().height;
    }).observe(document.body, { subtree: true, childList: true, characterData: true });
  });
}
const said = () => page.evaluate(() => (window as unknown as { said: string[] }).said.join('\n'));
const gone = () => page.waitForFunction(() => !document.querySelector('.task'));

describe('files of a site', () => {
  it('an export says how far it is, and arrives whole', async () => {
    await page.click('.files a[href*="findings.csv"]');
    await page.waitForSelector('.task');
    await gone();
    // It is drawn, not only there.
    expect(await page.evaluate(() => (window as unknown as { bar: number }).bar)).toBeGreaterThan(0);
    expect(await said()).toMatch(/Making findings\.csv: \d+ of \d+/);
    while (!readdirSync(folder).includes('proving-ground-findings.csv')) await new Promise((resolve) => setTimeout(resolve, 50)); // prettier-ignore
    const text = readFileSync(join(folder, 'proving-ground-findings.csv'), 'utf8');
    expect(text.startsWith('\uFEFFsite,area,')).toBe(true);
    expect(text.endsWith('\r\n')).toBe(true);
  });

  it('one that is cancelled stops, and nothing arrives', async () => {
    await page.click('.files a[href*="findings.json"]');
    await page.waitForSelector('.task');
    await clickText(page, '.task button', 'Cancel');
    await gone();
    await page.click('.files a[href*="sizes.csv"]');
    while (!readdirSync(folder).includes('proving-ground-sizes.csv')) await new Promise((resolve) => setTimeout(resolve, 50)); // prettier-ignore
    expect(readdirSync(folder)).not.toContain('proving-ground-findings.json');
  });

  it('an import says how far it is', async () => {
    const head = 'tag,length_m,cores,core_area_mm2,core_diameter,inner,armour,armour_size,sheath,outer,max_c';
    const rows = Array.from({ length: 3000 }, (_, i) => `N-${i},12,3,2.5,3.4,13.2 mm,wire,0.9 mm,1.4 mm,17.8 mm,70`); // prettier-ignore
    const file = join(folder, 'cables.csv');
    writeFileSync(file, [head, ...rows].join('\n'));
    await page.goto(`${served.address}/dossier/?site=proving-ground&table=files`);
    const input = await page.waitForSelector('input[type="file"]');
    await listen();
    await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(file);
    await waitForText(page, '.import', 'cables.csv');
    await gone();
    await page.waitForFunction(() => /3000 new records/.test(document.querySelector('.import')!.textContent!)); // prettier-ignore
    expect(await said()).toMatch(/Reading cables\.csv: \d+ of 3000/);
    expect(errors).toEqual([]);
  });
});
