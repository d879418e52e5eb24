import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { clickText, openAs, openPage, retype, waitForText } from './harness';
import { doUntil } from './steps';
import { withDemo } from './with-demo';

const demo = withDemo();

const read = async (page: Page, value: string) => {
  const before = await page.$eval('.tester label', (e) => e.textContent);
  await page.type('.tester input', value);
  await page.keyboard.press('Enter');
  return before;
};

/** Starts a test at the step in hand and reads its pairs: the first one from the simulated tester. */
async function testPairs(
  page: Page,
  degrees: string,
  simulated: string,
  typed: readonly string[],
): Promise<void> {
  await page.waitForSelector('.step.open .start-test');
  await retype(page, 'Temperature of the cable', degrees);
  await page.click('.start-test input[type="checkbox"]');
  await clickText(page, '.start-test button', 'Start');
  await page.waitForSelector('.step.open .ir-grid');
  await retype(page, 'The simulated leads are on', simulated);
  await clickText(page, '.tester button', 'Test voltage on');
  await page.waitForFunction(
    () => document.querySelector('.tester output')?.textContent?.includes('at rest'),
    { timeout: 30_000 },
  );
  const label = () => page.$eval('.tester label', (e) => e.textContent!);
  const before = await label();
  await clickText(page, '.tester button', 'Take it');
  await page.waitForFunction(
    (was) => document.querySelector('.tester label')?.textContent !== was,
    {},
    before,
  );
  for (const [i, value] of typed.entries()) {
    const was = await label();
    await read(page, value);
    if (i < typed.length - 1) await page.waitForFunction((w) => document.querySelector('.tester label')?.textContent !== w, {}, was); // prettier-ignore
  }
}

describe('one end made off', () => {
  it('from square cut to second test: damp at first, the page closed, dried out, sealed in time', async () => {
    const first = await openPage(demo.browser);
    await openAs(first.page, demo.served, 'A. Vell', '/makeoff/?site=proving-ground&entry=pg-ax-31-m');
    await clickText(first.page, 'button', 'Start the work');
    await first.page.waitForSelector('.step.open');
    await waitForText(first.page, '.marks', 'from the fresh square cut');
    await doUntil(first.page, 'Trace every conductor');
    await first.page.waitForSelector('.step.open .continuity select');
    for (const [i, name] of ['L', 'N'].entries()) {
      await (await first.page.$$('.step.open .continuity select'))[i]!.select(name);
    }
    await clickText(first.page, '.step.open .continuity button', 'Keep the tracing');
    await waitForText(first.page, '.step.open .continuity li', 'comes out under its own sleeve');
    await clickText(first.page, '.step.open button', 'Done');
    await waitForText(first.page, '.step.open h2', 'Test the insulation, every pair');

    // Damp: the hold point stays, and the page is closed with it.
    await testPairs(first.page, '21', '45', ['60', '71']);
    await waitForText(first.page, '.step.open .verdict', 'Damp: dry the end out');
    await clickText(first.page, '.step.open button', 'Done');
    await waitForText(first.page, '.toast', 'Answer the hold point first');
    await waitForText(first.page, '[role="status"]', 'Everything sent');
    await first.page.close();

    const again = await openPage(demo.browser);
    const { page } = again;
    await openAs(page, demo.served, 'A. Vell', '/makeoff/?site=proving-ground&entry=pg-ax-31-m');
    await waitForText(page, '.step.open h2', 'Test the insulation, every pair');
    await waitForText(page, '.step.open .verdict', 'Damp: dry the end out');
    await clickText(page, '.step.open button', 'Dry it out');
    for (const value of ['44', '39', '58', '81', '134']) {
      await page.waitForSelector('.step.open .start-test');
      await retype(page, 'Temperature of the cable', '30');
      await page.click('.start-test input[type="checkbox"]');
      await clickText(page, '.start-test button', 'Start');
      await page.waitForSelector('.step.open .tester');
      await read(page, value);
    }
    await waitForText(page, '.step.open .verdict', 'is reached: let it cool');
    await clickText(page, '.step.open button', 'Fold the drying-out away');
    await clickText(page, '.step.open button', 'Test every pair again');
    await testPairs(page, '22', '640', ['720', '810']);
    await waitForText(page, '.step.open .verdict', 'Sound: seal it now');
    await waitForText(page, '[aria-label="Clocks of this entry"]', 'Seal before the test is too old');
    await clickText(page, '.step.open button', 'Done');
    // Its sheet has the end warmed first.
    await doUntil(page, 'Press compound in');
    await doUntil(page, 'Test the insulation again');
    await testPairs(page, '22', '600', ['700', '790']);
    await waitForText(page, '.step.open .verdict', 'it stands in the record');
    await doUntil(page, 'Gland into the box');
    await page.goto(`${demo.served.address}/mineral/?site=proving-ground&cable=pg-cable-mi-01&tab=ends`);
    await waitForText(page, 'main table', 'A day later');
    await waitForText(page, 'main table', '804 MΩ');
    expect([...first.errors, ...again.errors]).toEqual([]);
    await page.close();
  });
});

describe('the mineral desk', () => {
  it('tests an end with the simulated tester: damp, dried out, tested again; closing the page loses nothing', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/mineral/?site=proving-ground&cable=pg-cable-mi-12');
    await waitForText(page, 'h1', 'MI-12');
    await page.select('.start-test select', 'before-seal');
    await retype(page, 'Temperature of the cable', 'warm');
    await clickText(page, '.start-test button', 'Start');
    await waitForText(page, '.start-test', 'That is not a temperature');
    await retype(page, 'Temperature of the cable', '21,5');
    await page.click('.start-test input[type="checkbox"]');
    await clickText(page, '.start-test button', 'Start');
    await page.waitForSelector('.ir-grid');

    // The first pair from the tester: it rises with the charge, and is taken when it rests.
    await retype(page, 'The simulated leads are on', '45');
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
    await openAs(again.page, demo.served, 'A. Vell', '/mineral/?site=proving-ground&cable=pg-cable-mi-12');
    await waitForText(again.page, '.verdict', '2 pairs left to read');
    await again.page.waitForFunction(() =>
      document.querySelector('.tester label')?.textContent?.startsWith('L-sheath'),
    );
    await read(again.page, 'much');
    await waitForText(again.page, '.tester', 'That is not a resistance');
    await again.page.$eval('.tester input', (e) => (e as HTMLInputElement).select());
    await read(again.page, '>1000');
    await again.page.waitForFunction(() =>
      document.querySelector('.tester label')?.textContent?.startsWith('N-sheath'),
    );
    await read(again.page, '820');
    await waitForText(again.page, '.verdict', 'Damp: dry the end out');
    await waitForText(again.page, 'aside', 'damp');

    // Five readings while it warms; the trend says when it is dry.
    await clickText(again.page, '[role="tab"]', 'Drying out');
    await waitForText(again.page, '.caution', 'hot work permit');
    for (const [i, value] of ['44', '38', '46', '58', '74', '93'].entries()) {
      await retype(again.page, 'Temperature of the cable', '30');
      await again.page.click('.start-test input[type="checkbox"]');
      await clickText(again.page, '.start-test button', 'Start');
      await again.page.waitForSelector('.tester');
      await read(again.page, value);
      await again.page.waitForSelector('.start-test');
      if (i === 1) await waitForText(again.page, '.verdict', '2 of 5 readings');
    }
    await waitForText(again.page, '.verdict', 'is reached: let it cool');
    await again.page.waitForSelector('canvas');

    await clickText(again.page, '[role="tab"]', 'Insulation');
    await clickText(again.page, 'button', 'Start another test');
    await again.page.select('.start-test select', 'before-seal');
    await retype(again.page, 'Temperature of the cable', '20');
    await again.page.click('.start-test input[type="checkbox"]');
    await clickText(again.page, '.start-test button', 'Start');
    for (const [pair, value] of [['L-N', '640'], ['L-sheath', '910'], ['N-sheath', '880']] as const) {
      await again.page.waitForFunction((p) => document.querySelector('.tester label')?.textContent?.startsWith(p), {}, pair);
      await read(again.page, value);
    } // prettier-ignore
    await waitForText(again.page, '.verdict', 'Sound: seal it now');
    await again.page.goto(`${demo.served.address}/clocks/?site=proving-ground`);
    await waitForText(again.page, '.clock-list li', 'Seal before the test is too old');
    await waitForText(again.page, '[role="status"]', 'Everything sent');
    expect([...errors, ...again.errors]).toEqual([]);
    await again.page.close();
  });

  it('forecasts when a cable that is getting damp falls below its limit, and names short and open ends', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/mineral/?site=proving-ground&cable=pg-cable-mi-03');
    await waitForText(page, '[role="status"]', 'At this rate it falls below 23.0 MΩ in');
    await waitForText(page, '[role="status"]', 'give or take');
    await waitForText(page, 'aside .side-rows button', 'falling');
    await page.select('aside select', 'short');
    await page.waitForFunction(() => document.querySelectorAll('aside .side-rows button').length === 1);
    await waitForText(page, 'aside .side-rows button', 'MI-05');
    await page.select('aside select', 'test again');
    await waitForText(page, 'aside .side-rows button', 'MI-07');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('cuts a link to the worked length, draws it as it is entered, and says what a moved box does', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/mineral/?site=proving-ground&tab=link');
    const put = async (label: string, text: string) => {
      const input = (await page.waitForSelector(`[aria-label="${label}"]`))!;
      await input.click({ count: 3 });
      await input.type(text);
    };
    await put('Straight 1, mm', '480');
    await put('Straight 2, mm', '946');
    await put('Bend 1, degrees', '45');
    await put('Radius of bend 1, mm', '83');
    for (const [label, text] of [['Inside the first face', '9.9'], ['Inside the second face', '15.7'], ['First tail', '105'], ['Second tail', '174'], ['Cut off when squaring', '25']] as const) await retype(page, label, text); // prettier-ignore
    await waitForText(page, '.verdict', 'Cut it to 1820.8 mm');
    await waitForText(page, 'main', 'cut 1830.8 mm; nearer by as much: 1810.8 mm');
    await put('Straight 1, mm', 'long');
    await waitForText(page, '[role="alert"]', 'Type every length');
    expect(errors).toEqual([]);
    await page.close();
  });
});
