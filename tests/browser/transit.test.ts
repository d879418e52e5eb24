import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { clickText, openAs, openPage, retype, waitForText } from './harness';
import { withDemo } from './with-demo';

const demo = withDemo();

const open = async (entry: string, tab = 'board') => {
  const opened = await openPage(demo.browser);
  await openAs(
    opened.page,
    demo.served,
    'A. Vell',
    `/transit/?site=proving-ground&entry=${entry}&tab=${tab}`,
  );
  return opened;
};
const block = (page: Page, words: string) =>
  page.waitForFunction(
    (text) => [...document.querySelectorAll('.face-block')].find((e) => e.getAttribute('title')?.includes(text)),
    {},
    words,
  ) as unknown as Promise<{ click: () => Promise<void>; focus: () => Promise<void>; boundingBox: () => Promise<{ x: number; y: number; width: number; height: number }> }>; // prettier-ignore
const fill = async (page: Page, selector: string, n: number, text: string) => {
  const input = (await page.$$(selector))[n]!;
  await input.click({ count: 3 });
  await input.type(text);
};

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Holds what is dragged over a place, moving a little as a hand does, until the verdict says something. */
async function hover(
  page: Page,
  where: () => Promise<readonly [number, number]>,
  words: string,
): Promise<void> {
  const said = () => page.$eval('.drop-verdict', (e) => e.textContent!);
  await page.mouse.move(...(await where()), { steps: 10 });
  for (let i = 0; i < 200 && !(await said()).includes(words); i++) {
    // The page may have moved under the hand.
    const [x, y] = await where();
    await page.mouse.move(x + (i % 2), y);
    await pause(100);
  }
  expect(await said()).toContain(words);
}

describe('the transit board', () => {
  it('says what is wrong with a block, and judges it anew as it is counted', async () => {
    const { page, errors } = await open('pg-tr-1-b');
    await waitForText(page, '.judgement', 'the halves may differ by 1');
    await (await block(page, 'differ too much')).click();
    await waitForText(page, '.block-panel', 'in a block of');
    const right = await page.$eval('.side-form .quiet', (e) =>
      /(\d+) \+ (\d+) layers/.exec(e.textContent!)!.slice(1, 3),
    );
    await fill(page, '.side-form input', 0, 'many');
    await clickText(page, '.side-form button[type="submit"]', 'Keep it');
    await waitForText(page, '.side-form', 'That is not a number');
    await fill(page, '.side-form input', 0, right[0]!);
    await fill(page, '.side-form input', 1, right[1]!);
    await clickText(page, '.side-form button[type="submit"]', 'Keep it');
    await waitForText(page, '.judgement', 'Both halves are peeled alike');
    await fill(page, '.stack form input', 0, '19');
    await clickText(page, '.stack form button', 'Keep it');
    await waitForText(page, '.judgement', 'it travelled too far');
    await (await page.waitForSelector('[aria-label^="Plate on row 1"]'))!.click();
    await waitForText(page, '.judgement', 'has no stay plate');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('a cable is dragged to another block, and by the keyboard', async () => {
    const { page, errors } = await open('pg-tr-2-b');
    const centre = async (words: string) => {
      const { x, y, width, height } = await (await block(page, words)).boundingBox();
      return [x + width / 2, y + height / 2] as const;
    };
    await waitForText(page, '.drop-verdict', 'Drag a cable');
    await page.evaluate(() => document.fonts.ready.then(() => undefined));
    const from = await centre('C-TR-2B-101');
    await page.mouse.move(...from);
    await page.mouse.down();
    await page.mouse.move(from[0] + 12, from[1] + 4, { steps: 4 });
    await hover(page, () => centre('block 26 mm, spare'), 'is too thick for a block of 26 mm');
    // Another cable of that size: the two change places.
    await hover(page, () => centre('C-TR-2B-102'), 'In exchange');
    await page.mouse.up();
    await waitForText(page, '.toast', 'peeled anew');
    await waitForText(page, '.judgement', 'are not counted');
    // By keyboard: taken up with Enter, moved with the arrow keys, let go with Escape.
    await (await block(page, 'C-TR-2B-101')).focus();
    await page.keyboard.press('Enter');
    const said = () => page.$eval('.drop-verdict', (e) => e.textContent!);
    for (const key of [
      ...Array<'ArrowRight'>(6).fill('ArrowRight'),
      ...Array<'ArrowLeft'>(12).fill('ArrowLeft'),
    ]) {
      await page.keyboard.press(key);
      for (let wait = 0; wait < 6 && (await said()).startsWith('Drag'); wait++) await pause(100);
      if (!(await said()).startsWith('Drag')) break;
    }
    expect(await said()).toContain('C-TR-2B-101');
    await page.keyboard.press('Escape');
    await waitForText(page, '.drop-verdict', 'Drag a cable');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('both sides of bonded blocks, and the path of each armour by the meter', async () => {
    const { page, errors } = await open('pg-tr-3-b');
    await waitForText(page, '.judgement', '340.0 mΩ ± 1.4 mΩ from armour to earth');
    // The finding leads to the block that it speaks of, and that block is marked as failed.
    await clickText(page, '[data-check="T-09"] button', '340.0 mΩ');
    await page.waitForSelector('.face-block[aria-pressed="true"]');
    await waitForText(page, '.block-panel', 'C-TR-3B-101');
    const marked = await page.$eval('.face-block[aria-pressed="true"] [role="img"]', (e) => e.getAttribute('aria-label')); // prettier-ignore
    expect(marked).toContain('C-TR-3B-101');
    expect(
      await page.$eval('.face-block[aria-pressed="true"]', (e) => e.textContent! + e.innerHTML),
    ).toContain('a check fails on it');
    await clickText(page, '[aria-label="Side"] button', 'Armour side');
    await (await block(page, 'C-TR-3B-101')).click();
    await waitForText(page, '[aria-label="Bonding"]', 'is predicted for the joint');
    await clickText(page, '[aria-label="Bonding"] button', 'Leads on');
    await page.waitForFunction(() =>
      /1[12]\.\d mΩ/.test(
        document.querySelector('[aria-label="Bonding"] .figures')?.closest('form')?.textContent ?? '',
      ),
    );
    await fill(page, '[aria-label="Bonding"] input', 0, '12');
    await clickText(page, '[aria-label="Bonding"] button[type="submit"]', 'Keep the resistance');
    await page.waitForFunction(
      () => !document.querySelector('.judgement')?.textContent?.includes('340.0 mΩ'),
    );
    expect(errors).toEqual([]);
    await page.close();
  });

  it('packs in a worker, better step by step, and says what cannot be had', async () => {
    const { page, errors } = await open('pg-tr-1-a', 'plan');
    await retype(page, 'Wanted spare share', '90');
    await clickText(page, 'button', 'Pack it');
    await waitForText(page, 'ol[aria-live]', 'proven best');
    await waitForText(page, '[role="status"]', '90.0 % spare cannot be had');
    await waitForText(page, '.pack-plan', 'Peel cards');
    await clickText(page, 'button', 'Take this packing');
    await waitForText(page, '.stack', 'left');
    await waitForText(page, '.judgement', 'are not counted');
    await page.goto(`${demo.served.address}/transit/?site=proving-ground&entry=pg-tr-2-d&tab=plan`);
    for (const size of ['26', '39', '52']) await clickText(page, 'main fieldset label', size);
    await clickText(page, 'button', 'Pack it');
    await waitForText(page, '[role="alert"]', 'No block takes');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('one more cable: the spares that take it, or where a hole can be cored', async () => {
    const { page, errors } = await open('pg-tr-2-c', 'more');
    const more = async () => {
      await retype(page, 'Diameter of the new cable', '12');
      await retype(page, 'It may be off by', '0.1');
    };
    await more();
    await waitForText(page, '.spare', 'First out: the wedge');
    await waitForText(page, '.spare', 'gap');
    await page.goto(`${demo.served.address}/transit/?site=proving-ground&entry=pg-tr-4-a&tab=more`);
    await more();
    await waitForText(page, '[role="status"]', 'Punch 16.6 mm');
    await page.goto(`${demo.served.address}/transit/?site=proving-ground&entry=pg-tr-4-c`);
    await waitForText(page, '.judgement', 'at most 38.0 % is allowed');
    const dot = (await page.waitForSelector('.sealed-dot'))!;
    const before = await dot.evaluate((e) => (e as HTMLElement).style.left);
    await dot.focus();
    await page.keyboard.press('ArrowLeft');
    await page.waitForFunction(
      (was) => (document.querySelector('.sealed-dot') as HTMLElement).style.left !== was,
      {},
      before,
    );
    await clickText(page, 'summary', 'A block frame instead');
    await waitForText(page, 'details', 'Next cable');
    expect(errors).toEqual([]);
    await page.close();
  });
});
