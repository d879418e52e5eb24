// From a key to what it paints, on the bench: a figure typed, a reading taken, a look answered; beside an empty page.
import type { Page } from 'puppeteer-core';
import { openAs, openBrowser, openPage, serveDemo, waitForText } from '../browser/harness';

const TIMES = 40;

/** Measures, from a key to the frame that shows it, ms. */
const listen = (page: Page) =>
  page.evaluate(() => {
    const samples: number[] = [];
    (window as unknown as { samples: number[] }).samples = samples;
    window.addEventListener(
      'keydown',
      () => {
        const from = performance.now();
        requestAnimationFrame(() => {
          const channel = new MessageChannel();
          channel.port1.onmessage = () => samples.push(performance.now() - from);
          channel.port2.postMessage(null);
        });
      },
      { capture: true },
    );
  });
const taken = (page: Page) =>
  page.evaluate(() => (window as unknown as { samples: number[] }).samples.splice(0));
const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

function said(what: string, samples: number[]): void {
  const sorted = [...samples].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.min(Math.floor(share * sorted.length), sorted.length - 1)]!;
  console.log(
    `${what.padEnd(28)} ${sorted.length} times: median ${at(0.5).toFixed(1)} ms, 95 % ${at(0.95).toFixed(1)} ms`,
  );
}

/** Presses a key again and again, with time between for what comes after the paint. */
async function press(
  page: Page,
  key: Parameters<Page['keyboard']['press']>[0],
  times: number,
  pause: number,
) {
  for (let i = 0; i < times; i++) {
    await page.keyboard.press(key);
    await wait(pause);
  }
  return taken(page);
}

/** Prints how long a key takes to be painted. */
export async function paint(): Promise<void> {
  const served = await serveDemo({ now: '2026-11-26T10:00:00Z' });
  const { browser, close } = await openBrowser();
  try {
    const empty = await browser.newPage();
    await empty.setContent('<input autofocus>');
    await empty.focus('input');
    await listen(empty);
    said('empty page, a figure', await press(empty, 'Digit2', TIMES, 60));
    await empty.close();

    const { page } = await openPage(browser);
    await openAs(page, served, 'A. Vell', '/bench/?entry=mb-jb-204-d&site=marrowick');
    await page.waitForSelector('.bench');
    await waitForText(page, '[role="status"]', 'Everything sent');
    await wait(3000);
    await listen(page);
    await page.focus('.typing input');
    said('bench, a figure typed', await press(page, 'Digit2', TIMES, 60));
    await page.focus('#main');
    await taken(page);
    const readings: number[] = [];
    for (let i = 0; i < 12; i++) {
      const before = await page.$$eval('.place .chip:not(.next)', (all) => all.length);
      // At rest already, so that the key takes it at once.
      await page.keyboard.press('Space');
      await page.waitForFunction(
        (n) => document.querySelectorAll('.place .chip:not(.next)').length > n,
        {},
        before,
      );
      readings.push(...(await taken(page)));
      await wait(400);
    }
    said('bench, a reading asked for', readings);
    await page.evaluate(() => document.querySelector<HTMLElement>('.look-head button')?.click());
    await wait(600);
    const looks: number[] = [];
    for (let i = 0; i < 12; i++) {
      if (!(await page.$('.look.active'))) break;
      looks.push(...(await press(page, 'Digit1', 1, 500)));
    }
    said('bench, a look answered', looks);
  } finally {
    await close();
    await served.stop();
  }
}
