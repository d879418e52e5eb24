import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import sharp from 'sharp';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  clickText,
  labelled,
  openAs,
  openBrowser,
  openPage,
  retype,
  serveDemo,
  waitForText,
  type Served,
} from './harness';
import { clientOf } from '../server/served';

/** The day on which the generated plant is looked at. */
const NOW = '2026-11-02T09:00:00.000Z';
/** More than a device keeps whole. */
const ENTRIES = 1100;

let folder: string;
let served: Served;
let browser: Browser;
let close: () => Promise<void>;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'yendral-large-'));
  const generate = ['dist/cli/generate.mjs', '--data', folder, '--entries', String(ENTRIES), '--seed', '4'];
  execFileSync(process.execPath, generate, { stdio: 'ignore' });
  served = await serveDemo({ data: folder, now: NOW, empty: true });
  ({ browser, close } = await openBrowser());
}, 300_000);
afterAll(async () => {
  await close();
  await served.stop();
  rmSync(folder, { recursive: true, force: true });
});

const elements = (page: Page) => page.$$eval('*', (all) => all.length);
const rows = (page: Page) => page.$$eval('.stops [data-row]', (all) => all.map((row) => row.textContent));
/** How many entries were opened and are kept on the device. */
const keptEntries = async (): Promise<number> => {
  const asked = indexedDB.open('yendral');
  await new Promise((done) => (asked.onsuccess = done));
  const copies = asked.result.transaction('copies').objectStore('copies').getAll();
  await new Promise((done) => (copies.onsuccess = done));
  asked.result.close();
  return (copies.result as { scope?: { entries: string[] } }[]).flatMap(({ scope }) => scope?.entries ?? [])
    .length;
};
/** Entries of the round under way, by the walk that stands beside the bench. */
const walk = (page: Page) => page.$$eval('.walk a', (all) => all.map((a) => a.textContent));

describe('a site that is too large to lie on a device', () => {
  it('is listed, searched, filtered and counted by the server, and draws what is in view', async () => {
    const { page, errors } = await openPage(browser);
    await openAs(page, served, 'A. Vell', '/site/?site=greyholm');
    await waitForText(page, '.stops [role="status"]', `${ENTRIES} found`);
    expect(await elements(page)).toBeLessThan(5000);
    await (await labelled(page, 'Search entries')).type('hc-1 gland');
    await page.waitForFunction(() => {
      const found = [...document.querySelectorAll('.stops [data-row]')];
      return found.length > 0 && found.every((row) => row.textContent?.includes('HC-1'));
    });
    await (await labelled(page, 'Search entries')).type('x no such thing');
    await waitForText(page, '.stops', 'Nothing matches.');
    await page.goto(`${served.address}/site/?site=greyholm`);
    await page.waitForSelector('.stops [data-row]');
    await clickText(page, '[aria-label="Show by state"] button', 'Not sound');
    await page.waitForFunction(
      () => [...document.querySelectorAll('.stops [data-row]')].every((row) => row.querySelector('[aria-label="Not sound"]')),
    );
    // An area of the plan shows its own alone.
    await page.$eval('.plan [role="button"]', (area) => area.dispatchEvent(new MouseEvent('click', { bubbles: true })));
    await page.waitForFunction(() => document.querySelector('.plan [aria-pressed="true"]') !== null);
    expect(await (await labelled(page, 'Area')).evaluate((field) => field.value)).not.toBe('');
    expect(await elements(page)).toBeLessThan(5000);
    // From near its enclosures are marked, and lead to the worst of their entries.
    await page.waitForSelector('.plan a[aria-label*="the worst"]');
    expect(await page.$eval('.plan a', (mark) => mark.getAttribute('href'))).toMatch(/^.(bench|transit).*entry=/);
    expect(await elements(page)).toBeLessThan(5000);
    await clickText(page, 'button', 'All areas');
    await page.waitForFunction(() => document.querySelector('.plan a') === null);
    // Scrolled to its end, further pages come.
    await page.goto(`${served.address}/site/?site=greyholm`);
    await page.waitForSelector('.stops [data-row]');
    const first = (await rows(page))[0];
    await page.waitForFunction(() => {
      const box = document.querySelector('.list-box')!;
      box.scrollTop = box.scrollHeight;
      return box.scrollHeight > 20_000;
    }, { polling: 200 });
    expect(await rows(page)).not.toContain(first);
    expect(errors).toEqual([]);
    await page.close();
  });

  it('an entry comes along when it is opened; a round that was taken along is inspected without a signal', async () => {
    const { page, errors } = await openPage(browser);
    await openAs(page, served, 'A. Vell', '/site/?site=greyholm');
    await waitForText(page, '[aria-label="On this device"]', 'Nothing yet');
    await (await labelled(page, 'Search entries')).type('hc-1 gland');
    await page.waitForFunction(() => document.querySelector('.stops [data-row]')?.textContent?.includes('HC-1'));
    await page.click('.stops [data-row] a');
    await waitForText(page, '.bench h1', 'HC-1');
    // It is kept beside the page, in a moment.
    await page.waitForFunction(keptEntries, { polling: 200 });
    await page.goto(`${served.address}/site/?site=greyholm`);
    await waitForText(page, '[aria-label="On this device"]', '1 entry opened here');
    await clickText(page, '[aria-label="On this device"] button', 'Take along');
    await page.waitForFunction(
      () => [...document.querySelectorAll('[aria-label="On this device"] button')].every((b) => b.textContent === 'Leave behind'),
    );
    await waitForText(page, '[aria-label="On this device"]', 'MB fetched');
    // The bench opens on the round that is here.
    await page.goto(`${served.address}/bench/?site=greyholm`);
    await page.waitForSelector('.walk a');
    expect((await walk(page)).join()).not.toContain('not on this device');
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await page.setOfflineMode(true);
    await (await page.$$('.walk a'))[1]!.click();
    await page.waitForSelector('.walk li[aria-posinset="2"][aria-current="step"]');
    await page.keyboard.press('Space');
    await waitForText(page, 'body', '1 record waiting');
    // What is not here says so, and what to do.
    const { entry } = await page.evaluate(async () => ({ entry: new URLSearchParams(location.search).get('entry') }));
    expect(entry).not.toBeNull();
    await page.goto(`${served.address}/bench/?site=greyholm&entry=nowhere`);
    await waitForText(page, 'h1', 'Not on this device');
    await page.setOfflineMode(false);
    await page.goto(`${served.address}/bench/?site=greyholm&entry=${entry}`);
    await waitForText(page, '[role="status"]', 'Everything sent');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('photos of what is here are taken along as smaller copies, and seen without a signal', async () => {
    const client = await clientOf(served);
    const [entry] = (await client.call('GET', '/api/sites/greyholm/entries/?limit=1&sort=time')).json.rows as unknown as { id: string; status: { round: string } }[];
    const [photo, defect] = [ulid(), ulid()];
    const picture = await sharp({ create: { width: 2000, height: 1500, channels: 3, background: '#884422' } }).jpeg().toBuffer();
    expect((await client.call('PUT', `/api/sites/greyholm/photos/${photo}/`, picture)).status).toBe(200);
    const payload = { id: defect, entry: entry!.id, round: entry!.status.round, check: null, grade: 'detailed', photos: [photo], action: '', observation: { statement: 'A dent.', consequence: 1, hazard: 'explosion' } };
    const raised = await client.call('POST', '/api/commands/', { commands: [{ id: ulid(), kind: 'defect.raise', site: 'greyholm', at: NOW, payload }] });
    expect(raised.text).toContain('"applied"');
    const { page, errors } = await openPage(browser);
    const seen = () => page.waitForFunction(() => [...document.querySelectorAll('img')].some((img) => img.alt.startsWith('Photo') && img.naturalWidth === 1200));
    await openAs(page, served, 'A. Vell', `/defects/?site=greyholm&defect=${defect}`);
    await seen();
    await page.waitForFunction(keptEntries, { polling: 200 });
    await page.goto(`${served.address}/site/?site=greyholm`);
    await waitForText(page, '[aria-label="On this device"]', 'with a signal only');
    await clickText(page, '[aria-label="On this device"] button', 'Fetch it');
    await page.waitForFunction(() => !document.querySelector('[aria-label="On this device"]')?.textContent?.includes('with a signal only'));
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await page.setOfflineMode(true);
    await page.goto(`${served.address}/defects/?site=greyholm&defect=${defect}`);
    await seen();
    // What is left behind takes its copies with it.
    await page.setOfflineMode(false);
    await page.goto(`${served.address}/site/?site=greyholm`);
    await page.waitForSelector('.stops [data-row]');
    // Rows of one area never stand under the name of another.
    await page.setOfflineMode(true);
    await page.$eval('.plan [role="button"]', (area) => area.dispatchEvent(new MouseEvent('click', { bubbles: true })));
    await waitForText(page, '[aria-label="Entries"] [role="status"]', 'on this device');
    await page.setOfflineMode(false);
    await page.goto(`${served.address}/site/?site=greyholm`);
    await clickText(page, '[aria-label="On this device"] button', 'Leave behind');
    await waitForText(page, '[aria-label="On this device"]', 'Nothing yet');
    await page.waitForFunction(async () => (await (await caches.open('yendral-photos')).keys()).length === 0, { polling: 200 });
    expect(errors).toEqual([]);
    await page.close();
  });

  it('its defects are listed by the server, and opened where they stand', async () => {
    const { page, errors } = await openPage(browser);
    await openAs(page, served, 'A. Vell', '/defects/?site=greyholm');
    await page.waitForSelector('.ledger [data-row] button.line');
    await page.click('.ledger [data-row] button.line');
    await labelled(page, 'What has to be done');
    expect(new URL(page.url()).searchParams.get('defect')).not.toBeNull();
    await (await labelled(page, 'Level')).select('4');
    await waitForText(page, '.ledger', 'found');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('its dossier, board and mineral cables are listed by the server; what is opened or chosen comes along', async () => {
    const { page, errors } = await openPage(browser);
    await openAs(page, served, 'A. Vell', '/dossier/?site=greyholm&table=cable');
    await waitForText(page, '.records [role="status"]', 'found');
    await (await labelled(page, 'Search cables')).type('mi-');
    await page.waitForFunction(() => {
      const found = [...document.querySelectorAll('.records [data-row]')];
      return found.length > 0 && found.every((row) => row.textContent?.includes('MI-'));
    });
    await page.click('.records [data-row] button');
    expect(await (await labelled(page, 'Tag')).evaluate((field) => field.value)).toContain('MI-');
    // Somebody changes a cable that was elsewhere a moment ago.
    await retype(page, 'Length, m', '43');
    await clickText(page, 'button', 'Save');
    await waitForText(page, '[role="status"]', 'Everything sent');
    // A new entry goes into an enclosure that is found by typing.
    await page.goto(`${served.address}/dossier/?site=greyholm&table=entry&record=new`);
    const box = await labelled(page, 'Enclosure');
    await box.click();
    await box.type('hc-1');
    await page.waitForFunction(() => {
      const offered = [...document.querySelectorAll<HTMLElement>('[role="option"]')].filter(({ offsetParent }) => offsetParent !== null);
      return offered.length > 0 && offered.every((one) => one.textContent?.startsWith('HC-1'));
    });
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => document.querySelector<HTMLInputElement>('[data-path="enclosure"] input')?.value.startsWith('HC-1'));
    await retype(page, 'Label', 'Z');
    await (await labelled(page, 'Kind of entry')).select('gland-double-seal');
    await clickText(page, 'button', 'Save');
    await waitForText(page, '.records [role="status"]', `${ENTRIES + 1} found`);
    for (const [view, mark] of [['transit', 'entry'], ['mineral', 'cable']] as const) {
      await page.goto(`${served.address}/${view}/?site=greyholm`);
      await page.waitForSelector('.side-rows button');
      expect(await elements(page)).toBeLessThan(5000);
      await page.click('.side-rows button');
      await page.waitForSelector('.side-rows [aria-current="page"]');
      await page.waitForFunction((name) => new URLSearchParams(location.search).get(name) !== null, {}, mark);
      await page.waitForSelector('[role="tablist"]');
    }
    // Of several that are pressed at once the last is opened.
    await page.goto(`${served.address}/transit/?site=greyholm`);
    await page.waitForFunction(() => document.querySelectorAll('.side-rows button').length > 3);
    const last = await page.$$eval('.side-rows button', (all) => {
      for (const i of [2, 3, 2]) (all[i] as HTMLElement).click();
      return all[2]!.querySelector('.mantine-NavLink-label')!.textContent;
    });
    await waitForText(page, 'main h1', last);
    // Away from the server, what was opened is listed.
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await page.setOfflineMode(true);
    await page.goto(`${served.address}/dossier/?site=greyholm&table=cable`);
    await waitForText(page, '[role="alert"]', 'Here is what is on this device.');
    await waitForText(page, '.records [data-row]', 'MI-');
    await page.goto(`${served.address}/transit/?site=greyholm`);
    await waitForText(page, '.side-rows button', last);
    await page.setOfflineMode(false);
    await clickText(page, '[role="alert"] button', 'Ask again');
    await page.waitForFunction(() => document.querySelectorAll('.side-rows button').length > 3);
    expect(errors).toEqual([]);
    await page.close();
  });
}); // prettier-ignore
