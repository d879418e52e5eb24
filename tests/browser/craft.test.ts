import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { clickText, labelled, openAs, openPage, waitForText } from './harness';
import { answerStep } from './steps';
import { withDemo } from './with-demo';

const demo = withDemo();

/** One end of each drawing family, under way in the demo, and the step at which something is forgotten first. */
const FAMILIES: [family: string, entry: string, mistake: string][] = [
  ['gland', 'mb-ax-34-d', 'Inner seal back'],
  ['barrier', 'mb-ax-34-a', 'Pot over the compound'],
  ['resin', 'mb-ax-34-h', 'Turn the barrel onto the armour'],
  ['mineral', 'mb-ax-34-n', 'Warm end and pot'],
  ['blocks', 'mb-tr-1-c', 'Largest first'],
  ['bonded', 'mb-tr-3-e', 'Core out'],
  ['sealant', 'mb-tr-4-g', 'Sealant between'],
];

const title = (page: Page): Promise<string> =>
  page.$eval('.step.open h2', (e) => e.textContent!.replace(/^\d+\s*/, ''));
const isTest = async (page: Page): Promise<boolean> =>
  (await page.$('.step.open .start-test, .step.open .continuity')) !== null;

/** Taps what has these words. */
async function tap(page: Page, selector: string, words: string): Promise<void> {
  for (const one of await page.$$(selector)) {
    if (!(await one.evaluate((e, w) => e.textContent!.includes(w), words))) continue;
    // What is tapped lies still: a step that has just opened is still on its way into view.
    await one.evaluate((e) => e.scrollIntoView({ block: 'center', behavior: 'instant' }));
    await page.evaluate(
      () => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))),
    );
    return one.tap();
  }
  throw new Error(`nothing to tap: ${selector}, ${words}`);
}

/** Passes over what only an instrument far away could answer. */
async function passOver(page: Page): Promise<void> {
  await tap(page, '.step.open button', 'Pass the hold point over');
  await (await labelled(page, 'Why it is passed over')).type('tried on the tablet');
  await tap(page, '.step.open form button', 'Pass it over');
}

/** One step by touch: forgetting is caught, then it is done as it should be. */
async function go(page: Page, step: string, forgets: boolean): Promise<void> {
  // What is fetched when it is first shown is here.
  await page.waitForFunction(() => !document.querySelector('.step.open')!.textContent!.includes('Opening …'));
  if (forgets) {
    await tap(page, '.step.open button', 'Done');
    await waitForText(page, '.toast', 'Answer the hold point first');
    expect(await title(page)).toBe(step);
  }
  await answerStep(page);
  if (await isTest(page)) return passOver(page);
  await tap(page, '.step.open button', 'Done');
}

describe('a whole make-off by touch on a tablet', () => {
  it.each(FAMILIES)(
    '%s: every step in order, and what is forgotten is caught',
    async (_family, entry, mistake) => {
      const { page, errors } = await openPage(demo.browser);
      await page.setViewport({ width: 834, height: 1112, hasTouch: true });
      await openAs(page, demo.served, 'A. Vell', `/makeoff/?site=marrowick&entry=${entry}`);
      await page.waitForSelector('.step.open');
      const steps: string[] = [];
      let caught = false;
      while ((await page.$('.step.open')) && steps.length < 40) {
        const step = await title(page);
        steps.push(step);
        const forgets: boolean = !caught && step.startsWith(mistake);
        caught ||= forgets;
        await go(page, step, forgets);
        await page.waitForFunction(
          (was) => !(document.querySelector('.step.open h2')?.textContent ?? '').includes(was),
          { timeout: 20_000 },
          step,
        );
      }
      expect([entry, caught]).toEqual([entry, true]);
      expect(await page.$('.still-out')).toBeNull();
      await waitForText(page, '.work', 'Every step is ticked');
      expect(errors).toEqual([]);
      await page.close();
    },
  );

  it('a clamp that does not look right is tried again, and the third try ends it', async () => {
    const { page } = await openPage(demo.browser);
    await page.setViewport({ width: 834, height: 1112, hasTouch: true });
    await openAs(page, demo.served, 'A. Vell', '/makeoff/?site=marrowick&entry=mb-ax-34-e');
    await page.waitForSelector('.step.open');
    while (!(await title(page)).startsWith('Close the clamp, then open')) await go(page, '', false);
    await waitForText(page, '.tries', 'Inside the cone');
    await tap(page, '.step.open .look button', 'Crossed');
    await tap(page, '.step.open button', 'Done');
    await waitForText(page, '.toast', 'Answer the hold point first');
    await tap(page, '.step.open button', 'Not right');
    await waitForText(page, '.step.open', 'begin it again');
    await clickText(page, '.step.open .look button', 'All round, whole');
    await page.waitForFunction(() => !document.body.textContent!.includes('begin it again'));
    await page.close();
  });
});

describe('one cable of a packed frame', () => {
  it('is planned from the board, in the order in which things come out and go back', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/transit/?site=marrowick&entry=mb-tr-1-a&tab=more');
    await waitForText(page, 'a', 'Plan: take a cable out');
    await clickText(page, 'a', 'Plan: take a cable out');
    await waitForText(page, '.plan-sheet', 'Bolts back until they stop');
    const plan = await page.$eval('.plan-sheet', (sheet) => sheet.textContent!);
    const order = ['Close the opening', 'Bolts back', 'Lift the upper plate', 'Take the block off', 'Blank the place', 'Rows back', 'Wedge slackened']; // prettier-ignore
    expect(order.map((words) => plan.indexOf(words))).toEqual(order.map((words) => plan.indexOf(words)).sort((a, b) => a - b)); // prettier-ignore
    expect(order.filter((words) => !plan.includes(words))).toEqual([]);
    await clickText(page, 'button', 'Start the work');
    await waitForText(page, '.work-title', 'a cable taken out');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('is put where it fits by a press, still to be peeled and read; undone, it is out again', async () => {
    const { page, errors } = await openPage(demo.browser);
    await page.setViewport({ width: 834, height: 1112, hasTouch: true });
    await openAs(page, demo.served, 'A. Vell', '/transit/?site=marrowick&entry=mb-tr-1-a&tab=more');
    await (await labelled(page, 'Diameter of the new cable')).type('12');
    await (await labelled(page, 'It may be off by')).type('0.2');
    await waitForText(page, '.spare', 'choose the new cable above');
    const cable = await labelled(page, 'New cable');
    await cable.click();
    await cable.type('C-TR-2');
    await page.waitForSelector('[role="option"]');
    const tag = await page.$$eval('[role="option"]', (all) => {
      const one = all.find((e) => e.textContent!.startsWith('C-TR-2')) as HTMLElement;
      one.click();
      return one.textContent!.split(',')[0]!;
    });
    await tap(page, '.spare button', `Put ${tag} here`);
    await waitForText(page, '.toast', `${tag} is in opening`);
    // What nobody has read yet leaves its check open: it is never sound.
    await page.waitForFunction(
      () => document.querySelector<HTMLElement>('[data-check="T-01"]')?.dataset.outcome !== 'conforms',
    );
    await clickText(page, '.toast button', 'Undo');
    await page.waitForFunction(
      () => document.querySelector<HTMLElement>('[data-check="T-01"]')?.dataset.outcome === 'conforms',
    );
    expect(errors).toEqual([]);
    await page.close();
  });

  it('of a bonded frame says when a finish does not go with the sheet, and is cut by what is chosen', async () => {
    const { page, errors } = await openPage(demo.browser);
    await page.setViewport({ width: 834, height: 1112, hasTouch: true });
    await openAs(page, demo.served, 'A. Vell', '/makeoff/?site=marrowick&entry=mb-tr-3-b');
    await (await labelled(page, 'The armour’s end is finished by')).select('tube');
    const length = await labelled(page, 'Length of the finish');
    await length.click({ count: 3 });
    await length.type('15');
    await waitForText(page, '.plan-sheet [role="alert"]', 'it would lie under the block');
    const past = await labelled(page, 'Armour past the block');
    await past.click({ count: 3 });
    await past.type('17');
    await page.waitForFunction(() => !document.querySelector('.plan-sheet [role="alert"]'));
    await tap(page, 'button', 'Start the work');
    await waitForText(page, '.work .marks', '75.0');
    expect(await page.$eval('.work .marks', (marks) => marks.textContent)).not.toContain(
      'Cut the jacket again',
    );
    expect(errors).toEqual([]);
    await page.close();
  });
});
