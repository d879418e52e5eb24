import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { clickText, openAs, openPage, waitForText } from './harness';
import { withDemo } from './with-demo';

const demo = withDemo();

const fill = async (page: Page, label: string, text: string) => {
  const handle = await page.waitForFunction(
    (words) =>
      [...document.querySelectorAll('label')]
        .find((l) => l.textContent?.includes(words))
        ?.querySelector('input'),
    {},
    label,
  );
  const input = handle as unknown as {
    click: (o: object) => Promise<void>;
    type: (t: string) => Promise<void>;
  };
  await input.click({ count: 3 });
  await input.type(text);
};
const read = async (page: Page, value: string) => {
  const before = await page.$eval('.tester .field span', (e) => e.textContent);
  await page.type('.tester input', value);
  await page.keyboard.press('Enter');
  return before;
};

describe('the mineral desk', () => {
  it('tests an end with the simulated tester: damp, dried out, tested again; closing the page loses nothing', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/mineral/?site=marrowick&cable=mb-cable-mi-01');
    await waitForText(page, 'h1', 'MI-01');
    await page.select('.start-test select', 'before-seal');
    await fill(page, 'Temperature of the cable', 'warm');
    await clickText(page, '.start-test button', 'Start');
    await waitForText(page, '.toast', 'Type the temperature');
    await fill(page, 'Temperature of the cable', '21,5');
    await page.click('.start-test input[type="checkbox"]');
    await clickText(page, '.start-test button', 'Start');
    await page.waitForSelector('.ir-grid');

    // The first pair from the tester: it rises with the charge, and is taken when it rests.
    await fill(page, 'The simulated leads are on', '45');
    await clickText(page, '.tester button', 'Test voltage on');
    await clickText(page, '.tester button', 'Take it');
    await waitForText(page, '.toast', 'still rising');
    await page.waitForFunction(
      () => document.querySelector('.tester output')?.textContent?.includes('at rest'),
      { timeout: 30_000 },
    );
    await clickText(page, '.tester button', 'Take it');
    await waitForText(page, '.verdict', '2 pairs left to read');
    await waitForText(page, '[role="status"]', 'Everything sent');
    await page.close();

    const again = await openPage(demo.browser);
    await openAs(again.page, demo.served, 'A. Vell', '/mineral/?site=marrowick&cable=mb-cable-mi-01');
    await waitForText(again.page, '.verdict', '2 pairs left to read');
    await again.page.waitForFunction(() =>
      document.querySelector('.tester .field span')?.textContent?.startsWith('L-sheath'),
    );
    await read(again.page, 'much');
    await waitForText(again.page, '.toast', 'Type megohms');
    await again.page.$eval('.tester input', (e) => (e as HTMLInputElement).select());
    await read(again.page, '>1000');
    await again.page.waitForFunction(() =>
      document.querySelector('.tester .field span')?.textContent?.startsWith('N-sheath'),
    );
    await read(again.page, '820');
    await waitForText(again.page, '.verdict', 'Damp: dry the end out');
    await waitForText(again.page, 'aside', 'damp');

    // Five readings while it warms; the trend says when it is dry.
    await clickText(again.page, '.mineral-tabs button', 'Drying out');
    await waitForText(again.page, '.caution', 'hot work permit');
    for (const [i, value] of ['44', '38', '46', '58', '74', '93'].entries()) {
      await fill(again.page, 'Temperature of the cable', '30');
      await again.page.click('.start-test input[type="checkbox"]');
      await clickText(again.page, '.start-test button', 'Start');
      await again.page.waitForSelector('.tester');
      await read(again.page, value);
      await again.page.waitForSelector('.start-test');
      if (i === 1) await waitForText(again.page, '.verdict', '2 of 5 readings');
    }
    await waitForText(again.page, '.verdict', 'is reached: let it cool');
    await again.page.waitForSelector('canvas');

    await clickText(again.page, '.mineral-tabs button', 'Insulation');
    await clickText(again.page, 'button', 'Start another test');
    await again.page.select('.start-test select', 'before-seal');
    await fill(again.page, 'Temperature of the cable', '20');
    await again.page.click('.start-test input[type="checkbox"]');
    await clickText(again.page, '.start-test button', 'Start');
    for (const [pair, value] of [['L-N', '640'], ['L-sheath', '910'], ['N-sheath', '880']] as const) {
      await again.page.waitForFunction((p) => document.querySelector('.tester .field span')?.textContent?.startsWith(p), {}, pair);
      await read(again.page, value);
    } // prettier-ignore
    await waitForText(again.page, '.verdict', 'Sound: seal it now');
    await again.page.goto(`${demo.served.address}/clocks/?site=marrowick`);
    await waitForText(again.page, '.clock-list li', 'Seal before the test is too old');
    await waitForText(again.page, '[role="status"]', 'Everything sent');
    expect([...errors, ...again.errors]).toEqual([]);
    await again.page.close();
  });

  it('forecasts when a cable that is getting damp falls below its limit, and names short and open ends', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/mineral/?site=marrowick&cable=mb-cable-mi-03');
    await waitForText(page, '[role="status"]', 'At this rate it falls below 20.0 MΩ in');
    await waitForText(page, '[role="status"]', 'give or take');
    await waitForText(page, 'aside li', 'falling');
    await page.select('aside select', 'short');
    await page.waitForFunction(() => document.querySelectorAll('aside li').length === 1);
    await waitForText(page, 'aside li', 'MI-05');
    await page.select('aside select', 'test again');
    await waitForText(page, 'aside li', 'MI-07');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('cuts a link to the worked length, draws it as it is entered, and says what a moved box does', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/mineral/?site=marrowick&tab=link');
    const put = async (label: string, text: string) => {
      const input = (await page.waitForSelector(`[aria-label="${label}"]`))!;
      await input.click({ count: 3 });
      await input.type(text);
    };
    await put('Bend 1, degrees', '45');
    await put('Radius of bend 1, mm', '83');
    for (const [label, text] of [['Inside the first face', '9.9'], ['Inside the second face', '15.7'], ['First tail', '105'], ['Second tail', '174'], ['Cut off when squaring', '25']] as const) await fill(page, label, text); // prettier-ignore
    await waitForText(page, '.verdict', 'Cut it to 1820.8 mm');
    await waitForText(page, 'main', 'cut 1830.8 mm; nearer by as much: 1810.8 mm');
    await put('Straight 1, mm', 'long');
    await waitForText(page, '[role="alert"]', 'Type every length');
    expect(errors).toEqual([]);
    await page.close();
  });
});
