import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { choose, clickText, labelled, openAs, openPage, waitForText } from './harness';
import { withDemo } from './with-demo';

const demo = withDemo();

const count = async (page: Page, selector: string) => (await page.$$(selector)).length;
const texts = (page: Page, selector: string) =>
  page.$$eval(selector, (all) => all.map((e) => e.textContent ?? ''));

describe('the site view', () => {
  it('is searched, filtered by area and by state, on the plan and in the list alike', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/site/?site=marrowick');
    await page.waitForSelector('.stops tr a');
    const matching = () =>
      page.$eval('.stops [role=status]', (e) => e.textContent!.split(' of ').map(Number) as [number, number]);
    const [found, all] = await matching();
    expect(found).toBe(all);
    // Enclosures with many entries stand as one on the plan.
    expect(await count(page, '.plan a')).toBeLessThanOrEqual(all);
    expect(await count(page, '.plan a')).toBeGreaterThan(all * 0.8);
    // Of a long list only what is in view is drawn.
    expect(await count(page, '.stops tr a')).toBeLessThan(all);

    const search = await labelled(page, 'Search entries');
    await search.type('reversible jb-20');
    await page.waitForFunction((n) => !document.querySelector('.stops [role=status]')!.textContent!.startsWith(`${n} `), {}, all); // prettier-ignore
    for (const text of await texts(page, '.stops tr a')) expect(text).toMatch(/JB-20.*reversible/);
    expect(await count(page, '.plan a')).toBe((await matching())[0]);

    await search.click({ count: 3 });
    await page.keyboard.press('Backspace');
    await choose(page, 'Area', 'mb-mill');
    await clickText(page, '[aria-label="Show by state"] button', 'Sound');
    await page.waitForFunction(() =>
      [...document.querySelectorAll('.stops tr a')].every((e) => /PM-|TR-4/.test(e.textContent!)),
    );
    for (const text of await texts(page, '.stops td:nth-child(2) small'))
      expect(text).toMatch(/sound, (detailed|close)/);
    await search.type('nowhere');
    await waitForText(page, '.stops', 'Nothing matches');
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('finding', () => {
  it('looks through the open site first, then the others; through this device while the server is away', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/site/?site=marrowick');
    await page.waitForSelector('.stops tr a');
    await clickText(page, '.head button', 'Find');
    const field = (await page.waitForSelector('[aria-label="Entry, cable, certificate or defect"]'))!;
    const groups = () => texts(page, '#find-hits [class*=actionsGroup]');
    const asked = async (text: string, first: string) => {
      await field.click({ count: 3 });
      await field.type(text);
      await page.waitForFunction(
        (words) => document.querySelector('#find-hits button')?.textContent?.includes(words),
        {},
        first,
      );
    };
    await waitForText(page, '#find-hits', 'Type a tag');
    await asked('204 c', 'JB-204, entry C');
    expect((await groups())[0]).toContain('JB-204, entry C');
    await asked('mf-1', 'MF-1, entry A');
    expect(
      await page.$eval(
        '#find-hits',
        (e) => e.querySelector('[data-label], [class*=actionsGroup]')!.outerHTML,
      ),
    ).toContain('Oxgate');
    await field.type('?!x');
    await waitForText(page, '#find-hits', 'Nothing matches');
    await page.evaluate(() => (window.fetch = () => Promise.reject(new TypeError('away'))));
    await asked('barrier ax-31', 'AX-31');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => location.pathname === '/bench/');
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('the ledger', () => {
  it('stands by due date, and is filtered by state, level, owner and text', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/defects/?site=proving-ground');
    await page.waitForSelector('.ledger');
    const dues = await texts(page, '.ledger b.figures');
    expect(dues.length).toBeGreaterThan(8);
    const days = dues.map((due) => Date.parse(due));
    expect(days).not.toContain(NaN);
    expect(days).toEqual([...days].sort((a, b) => a - b));

    await choose(page, 'Level', '4');
    for (const level of await texts(page, '.line .level')) expect(level).toBe('4');
    await choose(page, 'Level', '');
    await choose(page, 'Owner', 'R. Tarn');
    await page.waitForFunction(() =>
      [...document.querySelectorAll('.ledger tr[data-row]')].every((e) => e.textContent!.includes('R. Tarn')),
    );
    await choose(page, 'Owner', '');
    await choose(page, 'State', 'done');
    await page.waitForFunction(() =>
      [...document.querySelectorAll('.ledger tr[data-row]')].every((e) =>
        e.textContent!.includes('Done, not proven'),
      ),
    );
    await choose(page, 'State', '');
    const search = await labelled(page, 'Search defects');
    await search.type('threads engaged');
    await page.waitForFunction(() =>
      [...document.querySelectorAll('.ledger tr[data-row]')].every((e) =>
        e.textContent!.includes('threads engaged'),
      ),
    );
    await search.type(' nothing like it');
    await waitForText(page, '.empty', 'Nothing matches');
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('the bench at tablet size', () => {
  it('takes a reading with the number pad, and strikes it out and back', async () => {
    const { page, errors } = await openPage(demo.browser);
    await page.setViewport({ width: 834, height: 1112 });
    await openAs(page, demo.served, 'A. Vell', '/bench/?entry=mb-ty-3-d&site=marrowick');
    await page.waitForSelector('.pad');
    await clickText(page, '.place-head', 'Outer sheath');
    const key = (name: string) => page.click(`.pad [aria-label="${name}"]`);
    for (const name of ['2', '7', 'Decimal point', '8', '8', 'Delete the last figure', '5']) await key(name);
    expect(await page.$eval('.typing input', (e) => (e as HTMLInputElement).value)).toBe('27.85');
    await clickText(page, '.pad button', 'Enter');
    const chip = '.place[aria-label="Outer sheath"] .chip[aria-label="Reading 27.85"]';
    await page.waitForSelector(chip);
    await page.click(chip);
    await waitForText(page, '.chip-menu', 'Typed “27.85”, read on ');
    await clickText(page, '.chip-menu button', 'Strike out');
    await page.waitForFunction((s) => !document.querySelector(s), {}, chip);
    await clickText(page, '.toast button', 'Undo');
    await page.waitForSelector(chip);
    expect(errors).toEqual([]);
    await page.close();
  });

  it('every target that a glove has to hit is at least 48 px high', async () => {
    const { page } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/bench/?entry=mb-jb-204-c&site=marrowick');
    for (const [width, height] of [
      [1280, 800],
      [834, 1112],
    ] as const) {
      await page.setViewport({ width, height });
      await page.waitForSelector('.bench');
      const small = await page.$$eval('.bench button, .bench a, .bench select, .bench input', (all) =>
        all
          .map((e) => ({
            height: e.getBoundingClientRect().height,
            what: e.textContent || e.getAttribute('aria-label'),
          }))
          .filter(({ height: h }) => h > 0 && h < 47.5)
          .map(({ what, height: h }) => `${what}: ${h}`),
      );
      expect(small).toEqual([]);
    }
    await page.close();
  });

  it('the drawing is saved as an SVG file to scale', async () => {
    const { page } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/bench/?entry=mb-jb-204-c&site=marrowick');
    await page.waitForSelector('.save-drawing');
    const svg = await page.evaluate(
      () =>
        new Promise<string>((resolve) => {
          const make = URL.createObjectURL.bind(URL);
          URL.createObjectURL = (file: Blob) => {
            void file.text().then(resolve);
            return make(file);
          };
          document.querySelector<HTMLButtonElement>('.save-drawing')!.click();
        }),
    );
    expect(svg).toMatch(/^<\?xml[\s\S]*<svg [^>]*width="[\d.]+mm"/);
    expect(svg).toContain('wall 12.0 mm');
    await page.close();
  });
});
