import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { fetchAs, clickText, openAs, openPage, serveDemo, waitForText } from './harness';
import { withDemo } from './with-demo';

const demo = withDemo();

/** Selects a place of the bench by its title. */
const select = (page: Page, title: string) =>
  page.waitForFunction(
    (words) => {
      const card = [...document.querySelectorAll<HTMLElement>('.place')].find(
        (e) => e.getAttribute('aria-label') === words,
      );
      card?.querySelector<HTMLElement>('.next, button')?.click();
      return card?.classList.contains('selected');
    },
    {},
    title,
  );
const readings = (page: Page, title: string): Promise<string[]> =>
  page.$$eval(
    '.place',
    (all, words) =>
      [
        ...(all
          .find((e) => e.getAttribute('aria-label') === words)
          ?.querySelectorAll('ul .figures, ul button') ?? []),
      ].map((e) => e.textContent ?? ''),
    title,
  );

describe('gauges at the bench', () => {
  it.each([
    ['Gland into the wall, torque', 'Torque driver 04', /^3[3-7]\.\d$/],
    ['Back-nut gap', 'Feeler 02', /^[34]\.\d\d$/],
  ])('%s is sent by %s: one key, once it rests', async (place, tag, value) => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/bench/?entry=mb-jb-201-a&site=marrowick');
    await page.waitForSelector('.bench');
    await select(page, place);
    await page.$eval(
      '[aria-label="Instrument"]',
      (e, words) => {
        const box = e as HTMLSelectElement;
        const option = [...box.options].find((o) => o.textContent === words)!;
        Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value')!.set!.call(box, option.value);
        box.dispatchEvent(new Event('change', { bubbles: true }));
      },
      tag,
    );
    await clickText(page, '.tray button', 'Hold');
    await clickText(page, '.caliper button', 'Hold it there');
    const before = (await readings(page, place)).length;
    await page.waitForFunction(() => /^\d/.test(document.querySelector('.tray output')?.textContent ?? ''));
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    // The driver rises for some samples; the key is pressed until it has come to rest.
    for (let i = 0; i < 20 && (await readings(page, place)).length === before; i++) {
      await page.keyboard.press('Space');
      await new Promise((resolve) => setTimeout(resolve, 400));
    }
    const taken = (await readings(page, place)).filter((text) => value.test(text));
    expect(taken.length).toBeGreaterThan(0);
    expect((await readings(page, place)).length).toBe(before + 1);
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('a make-off without the server', () => {
  it('goes on, keeps its ticks and its reading over a reload, and sends them when the server is back', async () => {
    const { page } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/makeoff/?site=marrowick&entry=mb-ax-34-b');
    await waitForText(page, '.step.open h2', 'Pack from the middle');
    await page.waitForFunction(async () => (await navigator.serviceWorker.getRegistration())?.active != null);
    await page.waitForFunction(async () => (await caches.keys()).length > 0);
    await page.reload();
    await waitForText(page, '.step.open h2', 'Pack from the middle');
    const { port, data } = demo.served;
    await demo.served.stop();
    await clickText(page, '.pour-step button', 'Packed now');
    await waitForText(page, '[aria-label="Clocks of this entry"]', 'Open and look');
    await page.type('.step.open .place-field input', '14');
    await page.keyboard.press('Enter');
    await waitForText(page, '.step.open .place-field', 'Read: 14');
    await page.$eval('.step.open .seen-line', (line) => (line as HTMLElement).click());
    await page.waitForSelector('.step.open .seen-line[aria-checked="true"]');
    await clickText(page, '.step.open button', 'Done');
    await waitForText(page, '.step.open h2', 'Pot over the compound');
    await waitForText(page, '.sync', 'waiting to send');
    await page.reload();
    await waitForText(page, '.step.open h2', 'Pot over the compound');
    demo.served = await serveDemo({ port, data });
    await waitForText(page, '.sync', 'Everything sent');
    const kept = await (await fetchAs(demo.served.address, '/api/sites/marrowick/export/site.json/')).json();
    const { makeoff, pour } = kept as {
      makeoff: { entry: string; ticks: { step: string }[] }[];
      pour: { entry: string; packedAt: string | null }[];
    };
    expect(makeoff.find(({ entry }) => entry === 'mb-ax-34-b')!.ticks.map(({ step }) => step)).toContain(
      'pack',
    );
    expect(pour.find(({ entry }) => entry === 'mb-ax-34-b')!.packedAt).not.toBeNull();
    await page.close();
  });
});
