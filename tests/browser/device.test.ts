import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BrowserContext, Page } from 'puppeteer-core';
import { afterEach, describe, expect, inject, it } from 'vitest';
import { fetchAs, clickText, serveDemo, waitForText, type Served } from './harness';
import { openProxy, type Proxy } from './proxy';
import { withDemo } from './with-demo';

const demo = withDemo();
const contexts: BrowserContext[] = [];
const proxies: Proxy[] = [];
const servers: Served[] = [];
afterEach(async () => {
  for (const context of contexts.splice(0)) await context.close();
  for (const proxy of proxies.splice(0)) await proxy.close();
  for (const server of servers.splice(0)) await server.stop();
});

async function line(port = demo.served.port): Promise<Proxy> {
  const proxy = await openProxy(port);
  proxies.push(proxy);
  return proxy;
}

/** A page of a browser that nobody has used before, on its own line to the server. */
async function openPage(): Promise<Page> {
  const context = await demo.browser.createBrowserContext();
  contexts.push(context);
  const page = await context.newPage();
  page.setDefaultTimeout(60_000);
  page.on('dialog', (dialog) => void dialog.accept());
  return page;
}

async function openAs(page: Page, { address }: Proxy, person: string, path: string): Promise<void> {
  await page.goto(`${address}/site/`);
  await clickText(page, 'button', person);
  await page.waitForSelector('.site');
  await page.goto(`${address}${path}`);
}

const BENCH = '/bench/?entry=pg-ty-3-d&site=proving-ground';
async function read(page: Page, place: string, value: string): Promise<void> {
  const card = `.place[aria-label="${place}"]`;
  await page.waitForSelector(`${card} .place-head`);
  // Found and pressed in one: what is drawn anew in between is not pressed in vain.
  await page.evaluate((head) => document.querySelector<HTMLElement>(head)!.click(), `${card} .place-head`);
  await page.waitForSelector(`.place.selected[aria-label="${place}"]`);
  await page.focus('#main');
  await page.keyboard.type(value);
  await page.keyboard.press('Enter');
  await page.waitForSelector(`.place[aria-label="${place}"] .chip[aria-label="Reading ${value}"]`);
}
const chips = (page: Page, place: string) => page.$$eval(`.place[aria-label="${place}"] .chip:not(.next)`, (all) => all.map((one) => one.textContent!.trim())); // prettier-ignore
const sent = (page: Page) => waitForText(page, '[role="status"]', 'Everything sent');

/** Readings that the server holds of a place of the entry. */
async function held(served: Served, place: string): Promise<number[]> {
  const site = (await (await fetchAs(served.address, '/api/sites/proving-ground/')).json()) as {
    records: { reading: { entry: string; place: string; value: number }[] };
  };
  return site.records.reading
    .filter((one) => one.entry === 'pg-ty-3-d' && one.place === place)
    .map(({ value }) => value);
}

describe('a device', () => {
  it('two people offline: what both read stays, what both changed is told to the one whose value gave way', async () => {
    const [lineA, lineB] = [await line(), await line()];
    const [a, b] = [await openPage(), await openPage()];
    await openAs(a, lineA, 'A. Vell', BENCH);
    await openAs(b, lineB, 'M. Okonjo', BENCH);
    await a.waitForSelector('.bench');
    await b.waitForSelector('.bench');
    lineA.line = lineB.line = { is: 'away' };
    await read(a, 'Armour', '1.61');
    await read(b, 'Armour', '1.64');
    await waitForText(a, '[role="status"]', '1 record waiting');
    lineB.line = { is: 'open' };
    await sent(b);
    lineA.line = { is: 'open' };
    await sent(a);
    await a.waitForSelector('.chip[aria-label="Reading 1.64"]');
    await b.waitForSelector('.chip[aria-label="Reading 1.61"]');

    // Both change the same cable without a signal; the later change stands.
    const cable = '/dossier/?site=proving-ground&table=cable&record=pg-cable-ty-3-d';
    await a.goto(`${lineA.address}${cable}`);
    await b.goto(`${lineB.address}${cable}`);
    const from = async (page: Page, text: string) => {
      const field = (await page.waitForSelector('[data-path="from"] input'))!;
      await field.click({ count: 3 });
      await field.type(text);
      await clickText(page, '.form-foot button', 'Save');
      await page.waitForSelector('.records');
    };
    for (const page of [a, b]) await page.waitForSelector('[data-path="from"] input');
    lineA.line = lineB.line = { is: 'away' };
    await from(a, 'MCC of A');
    await from(b, 'MCC of M');
    lineA.line = { is: 'open' };
    await sent(a);
    lineB.line = { is: 'open' };
    await sent(b);
    await waitForText(a, '.notice', 'M. Okonjo changed the same at the same time');
    await clickText(a, '.notice button', 'I have seen it');
    await a.waitForFunction(() => !document.querySelector('.notice'));
  });

  it('answers that break off leave no white page, and lose nothing', async () => {
    const proxy = await line();
    const page = await openPage();
    await openAs(page, proxy, 'A. Vell', BENCH);
    await page.waitForSelector('.bench');
    proxy.line = { is: 'cut', after: 25 };
    await read(page, 'Inner sheath', '22.41');
    await page.reload();
    await page.waitForSelector('.place[aria-label="Inner sheath"] .chip[aria-label="Reading 22.41"]');
    expect((await chips(page, 'Inner sheath')).filter((text) => text === '22.41')).toHaveLength(1);
    proxy.line = { is: 'open' };
    await sent(page);
    expect((await held(demo.served, 'inner-sheath')).filter((value) => value === 22.41)).toHaveLength(1);
  });

  it('one record that the server fails on stands aside with its reason; the rest goes on', async () => {
    const proxy = await line();
    const page = await openPage();
    await openAs(page, proxy, 'A. Vell', BENCH);
    await page.waitForSelector('.bench');
    proxy.line = { is: 'failing', on: '"value":1.57' };
    await read(page, 'Armour', '1.57');
    await read(page, 'Armour', '1.58');
    await waitForText(page, '[aria-label="Records that were not taken"]', 'The server failed');
    await waitForText(page, '[role="status"]', '1 record not sent');
    expect(await held(demo.served, 'armour')).toContain(1.58);
    expect(await held(demo.served, 'armour')).not.toContain(1.57);
    proxy.line = { is: 'open' };
    await clickText(page, '.notice button', 'Try again');
    await sent(page);
    expect(await held(demo.served, 'armour')).toContain(1.57);
  });

  it('a refused record opens its form again, with what was typed and the reason at its field', async () => {
    const proxy = await line();
    const page = await openPage();
    await openAs(page, proxy, 'A. Vell', '/dossier/?site=proving-ground&table=area');
    await page.waitForSelector('.records');
    // The forms are fetched when the page has time; until then it needs its line.
    await page.waitForFunction(() => performance.getEntriesByType('resource').some(({ name }) => name.includes('SiteForm'))); // prettier-ignore
    proxy.line = { is: 'away' };
    await clickText(page, 'button', 'New area');
    await page.waitForSelector('.record-form');
    await page.type('[data-path="name"] input', 'Loading bay');
    await page.type('[data-path="substances"] input', 'Xylene');
    await clickText(page, '.form-foot button', 'Save');
    await page.waitForSelector('.records');
    // Somebody else takes the name meanwhile.
    const other = await openPage();
    await openAs(other, await line(), 'M. Okonjo', '/dossier/?site=proving-ground&table=area');
    await other.waitForSelector('.records');
    await clickText(other, 'button', 'New area');
    await other.waitForSelector('.record-form');
    await other.type('[data-path="name"] input', 'Loading bay');
    await clickText(other, '.form-foot button', 'Save');
    await sent(other);
    proxy.line = { is: 'open' };
    await waitForText(
      page,
      '[aria-label="Records that were not taken"]',
      'There is an area "Loading bay" already',
    );
    await clickText(page, '.notice a', 'Open it again');
    await page.waitForSelector('.record-form');
    const value = (path: string) =>
      page.$eval(`[data-path="${path}"] input`, (input) => (input as HTMLInputElement).value);
    expect([await value('name'), await value('substances')]).toEqual(['Loading bay', 'Xylene']);
    await waitForText(page, '[data-path="name"]', 'already');
    await page.type('[data-path="name"] input', ' 2');
    await clickText(page, '.form-foot button', 'Save');
    await page.waitForSelector('.records');
    await waitForText(page, '.records', 'Loading bay 2');
    await sent(page);
    expect(await page.$('.notice')).toBeNull();
  });

  it('a server that goes back is noticed, and the device offers what it has', async () => {
    let own = await serveDemo({ seeded: inject('seeded') });
    servers.push(own);
    const proxy = await line(own.port);
    const page = await openPage();
    await openAs(page, proxy, 'A. Vell', BENCH);
    await page.waitForSelector('.bench');
    await read(page, 'Armour', '1.51');
    await sent(page);
    const { data, port } = own;
    await own.stop();
    const older = mkdtempSync(join(tmpdir(), 'yendral-older-'));
    cpSync(data, older, { recursive: true });
    servers.push((own = await serveDemo({ data, port })));
    await sent(page);
    await read(page, 'Armour', '1.52');
    await sent(page);
    await own.stop();
    rmSync(data, { recursive: true });
    cpSync(older, data, { recursive: true });
    servers.push((own = await serveDemo({ data, port })));
    await waitForText(page, '.notice', 'The server has gone back to an earlier state');
    await waitForText(page, '[role="status"]', '1 record not sent');
    expect(await held(own, 'armour')).not.toContain(1.52);
    await clickText(page, '.notice button', 'Send it again');
    await sent(page);
    expect(await held(own, 'armour')).toContain(1.52);
  });

  it('two tabs are one person: signing in as another tells the first', async () => {
    const proxy = await line();
    const first = await openPage();
    await openAs(first, proxy, 'A. Vell', BENCH);
    await first.waitForSelector('.bench');
    const second = await contexts[0]!.newPage();
    await second.goto(`${proxy.address}${BENCH}`);
    await second.waitForSelector('.bench');
    await second.evaluate(() =>
      fetch('/api/session/', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: '{"name":"R. Tarn"}',
      }),
    );
    // The first tab knows nothing of it yet: what it records is taken in nobody else's name.
    await first.bringToFront();
    await read(first, 'Armour', '1.49');
    await waitForText(first, '.who', 'R. Tarn');
    await waitForText(first, '[role="status"]', '1 record of others waiting');
    expect(await held(demo.served, 'armour')).not.toContain(1.49);
  });

  it('a device that is full says so at once, and its work is sent all the same', async () => {
    const proxy = await line();
    const page = await openPage();
    await openAs(page, proxy, 'A. Vell', BENCH);
    await page.waitForSelector('.bench');
    await page.evaluate(() => {
      IDBObjectStore.prototype.put = () => {
        throw new DOMException('no room', 'QuotaExceededError');
      };
    });
    proxy.line = { is: 'away' };
    await read(page, 'Armour', '1.47');
    await waitForText(page, '[role="status"]', 'Not kept on this device');
    await waitForText(page, '.notice', 'Do not close the page');
    proxy.line = { is: 'open' };
    const deadline = Date.now() + 60_000;
    while (!(await held(demo.served, 'armour')).includes(1.47)) {
      if (Date.now() > deadline) throw new Error('The reading was never sent.');
      await new Promise((resolve) => setTimeout(resolve, 300));
    }
  });
});
