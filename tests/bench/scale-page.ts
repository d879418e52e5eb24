// What a page of a large site costs: its first rows, its memory with a round taken along, its scrolling.
import type { Browser, Page } from 'puppeteer-core';
import { openAs, openBrowser, openPage, waitForText, type Served } from '../browser/harness';

const PATH = '/site/?site=greyholm';
const wait = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** From a navigation with nothing kept to the frame that shows the first rows of the list, ms. */
async function firstRows(browser: Browser, served: Served): Promise<number> {
  const { page } = await openPage(browser);
  await page.evaluateOnNewDocument(() => {
    const look = () => {
      if (document.querySelector('.stops [data-row]') === null) return void requestAnimationFrame(look);
      requestAnimationFrame(() => setTimeout(() => Object.assign(window, { shownAt: performance.now() })));
    };
    requestAnimationFrame(look);
  });
  await openAs(page, served, 'A. Vell', PATH);
  await page.waitForFunction(() => 'shownAt' in window);
  const ms = await page.evaluate(() => (window as unknown as { shownAt: number }).shownAt);
  await page.browserContext().close();
  return ms;
}

/** Tasks that were longer than 50 ms while the list is scrolled, ms. */
async function scrolled(page: Page): Promise<number[]> {
  await page.evaluate(() => {
    const long: number[] = [];
    Object.assign(window, { long });
    new PerformanceObserver((list) => list.getEntries().forEach(({ duration }) => long.push(duration))).observe({
      entryTypes: ['longtask'],
    });
  });
  const box = (await page.$('.list-box'))!;
  const { x, y, width } = (await box.boundingBox())!;
  await page.mouse.move(x + width / 2, y + 100);
  for (let i = 0; i < 60; i++) {
    await page.mouse.wheel({ deltaY: 300 });
    await wait(50);
  }
  return page.evaluate(() => (window as unknown as { long: number[] }).long);
} // prettier-ignore

/** Heap after a forced collection, MB, and elements, with the first round that is offered taken along. */
async function withRound(page: Page): Promise<{ round: string; heapMb: number; elements: number }> {
  const button = '[aria-label="On this device"] button';
  await waitForText(page, button, 'Take along');
  const round = await page.$eval(button, (b) => b.parentElement!.textContent.replace('Take along', ''));
  await page.click(button);
  await page.waitForFunction(
    (b) => document.querySelector(b)?.textContent === 'Leave behind',
    { timeout: 120_000 },
    button,
  );
  await wait(3000);
  const devtools = await page.createCDPSession();
  await devtools.send('HeapProfiler.collectGarbage');
  const { usedSize } = await devtools.send('Runtime.getHeapUsage');
  return { round, heapMb: usedSize / 1e6, elements: await page.$$eval('*', (all) => all.length) };
}

/** (l) What a page costs that shows a large site. */
export async function scalePage(served: Served): Promise<void> {
  const { browser, close } = await openBrowser();
  try {
    await firstRows(browser, served);
    const times: number[] = [];
    for (let i = 0; i < 5; i++) times.push(await firstRows(browser, served));
    console.log(`(l) first rows painted after ${times.sort((a, b) => a - b)[2]!.toFixed(0)} ms (median of five, nothing kept)`);
    const { page } = await openPage(browser);
    await openAs(page, served, 'A. Vell', PATH);
    await page.waitForSelector('.stops [data-row]');
    await wait(2000);
    const long = await scrolled(page);
    console.log(`(l) scrolling through its list: ${long.length} tasks over 50 ms${long.length > 0 ? `, the longest ${Math.max(...long).toFixed(0)} ms` : ''}`);
    const { round, heapMb, elements } = await withRound(page);
    console.log(`(l) with "${round}" taken along: heap ${heapMb.toFixed(0)} MB, ${elements} elements`);
  } finally {
    await close();
  }
} // prettier-ignore
