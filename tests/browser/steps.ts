import type { Page } from 'puppeteer-core';
import { expect } from 'vitest';
import { clickText } from './harness';

/** What is read at each measured place, as it is typed. */
const READ: Record<string, string[]> = {
  'Outer sheath': ['20.71', '20.68', '20.7'],
  'Metal sheath': ['8.21', '8.2', '8.22'],
  'Sheath proud in the pot': ['2.1'],
  'Sheath as earth conductor': ['65'],
  'Over the cores': ['9.9', '9.92', '9.88'],
  Armour: ['1.25', '1.25', '1.24'],
  'Gland into the wall, torque': ['35'],
  'Thread engaged': ['11'],
  'Armour exposed': ['17.5'],
  'Compound beyond the crotch': ['14'],
  'Pot, turns': ['0.85'],
  'Back-nut gap': ['4.02'],
  'Bond, armour to wall': ['12 mΩ'],
};

/** Words of the step in hand. */
const currentStep = (page: Page): Promise<string> =>
  page.$eval('.step.open h2', (e) => e.textContent!.replace(/^\d+\s*/, ''));

/** Reads every place of the step in hand and gives the first answer of every look. */
export async function answerStep(page: Page): Promise<void> {
  const titles = await page.$$eval('.step.open .place-field > p', (all) =>
    all.map((e) => e.textContent!.split(':')[0]!),
  );
  for (const [i, title] of titles.entries()) {
    // A joint that is closed twice has its figure of the dry fit already.
    const have = await page.$$eval('.step.open .place-field > p', (all, at) => {
      const text = all[at]!.querySelector('b')?.textContent ?? '';
      return text === '' ? 0 : text.split(',').length;
    }, i); // prettier-ignore
    for (const [n, value] of (READ[title] ?? ['1']).entries()) {
      const field = (await page.$$('.step.open .place-field'))[i]!;
      const input = (await field.$('input'))!;
      await input.type(value);
      await input.press('Enter');
      await page.waitForFunction(
        (at, count) => {
          const text = document.querySelectorAll('.step.open .place-field > p b')[at]?.textContent ?? '';
          return text.split(',').length === count && text !== '';
        },
        {},
        i,
        have + n + 1,
      );
    }
  }
  for (const look of await page.$$('.step.open .look')) {
    await (await look.$('.answers button'))!.click();
  }
  await tickSeen(page);
}

/** Ticks what has to be seen at the step in hand, and whatever is laid out. */
async function tickSeen(page: Page): Promise<void> {
  const others = await page.$$('.step.open .seen > button');
  for (const button of others) await button.click();
  const open = '.step.open .seen-line[aria-checked="false"]';
  for (let i = 0; i < 40 && (await page.$(open)); i++) {
    const before = (await page.$$(open)).length;
    await page.$eval(open, (box) => (box as HTMLElement).click());
    await page.waitForFunction((at, n) => document.querySelectorAll(at).length < n, {}, open, before);
  }
}

/** Does the step in hand and waits for the next. */
export async function doStep(page: Page): Promise<void> {
  const before = await currentStep(page);
  await answerStep(page);
  await clickText(page, '.step.open button', 'Done');
  await page.waitForFunction(
    (was) => !(document.querySelector('.step.open h2')?.textContent ?? '').includes(was),
    {},
    before,
  );
}

/** Goes on until a step begins with some words. */
export async function doUntil(page: Page, words: string): Promise<void> {
  await page.waitForSelector('.step.open');
  for (let i = 0; i < 40 && !(await currentStep(page)).startsWith(words); i++) await doStep(page);
  expect(await currentStep(page)).toContain(words);
}
