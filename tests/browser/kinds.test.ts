import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { fetchAs, clickText, labelled, openAs, openPage, retype, waitForText } from './harness';
import { withDemo } from './with-demo';

const demo = withDemo();

const untilOutcome = (page: Page, check: string, wanted: string) =>
  page.waitForFunction(
    (c, w) => document.querySelector<HTMLElement>(`[data-check="${c}"]`)?.dataset.outcome === w,
    {},
    check,
    wanted,
  );
const open = async (entry: string) => {
  const { page, errors } = await openPage(demo.browser);
  await openAs(page, demo.served, 'A. Vell', `/bench/?entry=${entry}&site=marrowick`);
  await page.waitForSelector('.bench');
  return { page, errors };
};
describe('a barrier gland', () => {
  it('takes a mixing, is judged by its batch and its look, and is sealed as it was left', async () => {
    const { page, errors } = await open('mb-ax-31-a');
    await untilOutcome(page, 'E-17', 'conforms');
    await clickText(page, 'button', 'Record a mixing');
    await retype(page, 'Batch on the label', 'OLD 1');
    await page.$eval('.bench-panel form input[type=date]', (e) => {
      const input = e as HTMLInputElement;
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(input, '2020-01-31');
      input.dispatchEvent(new Event('input', { bubbles: true }));
    });
    await page.select('.bench-panel form select', 'yes');
    await retype(page, 'Temperature at mixing', '18,5');
    await clickText(page, '.bench-panel form button', 'Packed just now');
    await clickText(page, 'button', 'Keep the mixing');
    await untilOutcome(page, 'E-17', 'fails');
    await waitForText(page, '[data-check="E-17"]', 'expired on 31 Jan 2020');
    await clickText(page, '.toast button', 'Undo');
    await untilOutcome(page, 'E-17', 'conforms');

    await page.keyboard.press('Escape');
    await clickText(page, '.side-foot button', 'As left');
    await waitForText(page, '[role="dialog"]', 'Every hold point is answered');
    await clickText(page, '[role="dialog"] button', 'Seal the as-left record');
    // What became of the seals is said, never assumed.
    await waitForText(page, '[role="dialog"]', 'Say what became of it');
    for (const seal of ['Outer seal', 'Inner seal']) await (await labelled(page, seal)).select('replaced');
    await clickText(page, '[role="dialog"] button', 'Seal the as-left record');
    await waitForText(page, '.toast', 'The as-left record is sealed');
    await waitForText(page, '[role="status"]', 'Everything sent');
    const kept = await (await fetchAs(demo.served.address, '/api/sites/marrowick/export/site.json/')).json();
    const { asleft } = kept as { asleft: { entry: string; hash: string; skipped: string[] }[] };
    const sealed = asleft.find(({ entry }) => entry === 'mb-ax-31-a')!;
    expect(sealed.hash).toMatch(/^[0-9a-f]{64}$/);
    expect(sealed.skipped).toEqual([]);
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('a look', () => {
  it('shows right and wrong, takes an answer with a photo and a note', async () => {
    const { page, errors } = await open('mb-ax-33-a');
    const card = '#look-ring-thick-end';
    await page.waitForSelector(card);
    await page.$eval(`${card} .look-foot button`, (e) => (e as HTMLElement).click());
    await page.waitForSelector(`${card} .pictures svg`);
    expect((await page.$$(`${card} .pictures svg`)).length).toBe(2);
    await page.evaluate(
      (c) =>
        [...document.querySelectorAll<HTMLElement>(`${c} .answers button`)]
          .find((b) => b.textContent!.includes('Thick end to the box'))!
          .click(),
      card,
    );
    await untilOutcome(page, 'E-13', 'fails');
    const file = join(mkdtempSync(join(tmpdir(), 'yendral-look-')), 'ring.png');
    const picture = sharp({ create: { width: 64, height: 48, channels: 3, background: '#886644' } });
    writeFileSync(file, await picture.png().toBuffer());
    const input = (await page.waitForSelector(`${card} input[type=file]`)) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(file);
    await page.waitForSelector(`${card} .photos img`);
    await page.type(`${card} .note input`, 'seen with the mirror');
    await page.keyboard.press('Enter');
    await page.waitForFunction(
      (c) => document.querySelector<HTMLInputElement>(`${c} .note input`)?.value === 'seen with the mirror',
      {},
      card,
    );
    await waitForText(page, '.sync', 'Everything sent');
    const kept = await (await fetchAs(demo.served.address, '/api/sites/marrowick/export/site.json/')).json();
    const { look } = kept as { look: { entry: string; look: string; note: string; photo: string | null }[] };
    const ring = look.filter((one) => one.entry === 'mb-ax-33-a' && one.look === 'ring-thick-end').pop()!;
    expect(ring.note).toBe('seen with the mirror');
    expect(ring.photo).not.toBeNull();
    expect(errors).toEqual([]);
    await page.close();
  });

  it('behind a closed entry is answered by its as-left record, until somebody looks again', async () => {
    const { page } = await open('mb-dl-4-a');
    await waitForText(page, '#look-armour-seated', 'From the as-left record of');
    await waitForText(page, '[data-check="E-14"]', 'From the as-left record of');
    await page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('#look-armour-seated .answers button')]
        .find((b) => b.textContent!.includes('Crossed'))!
        .click(),
    );
    await untilOutcome(page, 'E-14', 'fails');
    await page.close();
  });
});

describe('the desk', () => {
  it('works alone: a thread is told from its near misses', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/desk/?site=marrowick&tool=thread');
    await retype(page, 'Over the crests', '20,9');
    await retype(page, 'Pitch', '1.814');
    await waitForText(page, '.verdict', 'It can be');
    await waitForText(page, '.verdict', 'two diameters along the thread');
    await clickText(page, 'fieldset button', 'shrinking');
    await waitForText(page, '.verdict', 'NPT 1/2');
    await retype(page, 'Over the crests', 'wide');
    await waitForText(page, 'main', 'That is not a length');
    await page.waitForFunction(() => !document.querySelector('.desk-result'));
    expect(errors).toEqual([]);
    await page.close();
  });

  it('opens from an entry with its values, and follows the barrier path question by question', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/desk/?site=marrowick&tool=barrier&entry=mb-ax-32-a');
    await waitForText(page, '.verdict', 'A barrier gland is needed');
    await clickText(page, 'button', 'Start again');
    await waitForText(page, '.verdict', 'Answer the next question');
    for (const answer of ['no', 'no', 'no', 'yes']) {
      await page.$$eval(
        'main ol li:last-child button',
        (buttons, words) => buttons.find((b) => b.textContent === words)!.click(),
        answer,
      );
    }
    await waitForText(page, '.verdict', 'No barrier gland is needed');
    await clickText(page, 'fieldset button', 'divisions');
    await waitForText(page, '.verdict', 'A seal is asked for');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('times a breathing test and draws its curve', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/desk/?site=marrowick&tool=breathing');
    await waitForText(page, '.verdict', 'The cable holds its breath');
    await page.waitForSelector('canvas');
    const cell = (await page.$('[aria-label="Overpressure of reading 5, kPa"]'))!;
    await cell.click({ count: 3 });
    await cell.type('0.3');
    await waitForText(page, '.verdict', 'The record says nothing');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('prints the back-nut scale at its true size', async () => {
    const { page } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/desk/?site=marrowick&tool=back-nut&entry=mb-jb-201-a');
    await waitForText(page, '.verdict', 'the gap is');
    await page.emulateMediaType('print');
    // 96 px are an inch on paper: what the view box calls a millimetre has to be one.
    const scale = await page.$eval('.print-scale svg', (svg) => {
      const box = (svg as SVGSVGElement).viewBox.baseVal;
      const shown = svg.getBoundingClientRect();
      return { across: shown.width / box.width, down: shown.height / box.height };
    });
    expect(scale.across).toBeCloseTo(96 / 25.4, 1);
    expect(scale.down).toBeCloseTo(96 / 25.4, 1);
    const visible = await page.$eval('.desk header', (e) => getComputedStyle(e).visibility);
    expect(visible).toBe('hidden');
    await page.close();
  });
});

describe('references', () => {
  it('of the site’s own are made, named by the site, and printed with the findings', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'R. Tarn', '/dossier/?site=marrowick&table=reference');
    await clickText(page, '.dossier nav button', 'References');
    await clickText(page, 'button', 'New set of references');
    await retype(page, 'Title', 'House rules, fourth edition');
    await page.select('[data-path="over"] select', 'iec-2013');
    await clickText(page, '.record-form button', 'Add');
    // Of so many one is found by typing.
    const check = (await page.waitForSelector('.list-item [data-path$="check"] input'))!;
    await check.click();
    await check.type('E-29');
    await clickText(page, '[role="option"]', 'E-29');
    await retype(page, 'Document, clause, topic', 'House rule 12, damage');
    await clickText(page, '.record-form button', 'Save');
    await waitForText(page, '.toast', 'is added');
    await clickText(page, '.dossier nav button', 'Site');
    const select = await page.waitForSelector('[data-path="references"] select');
    await (select as unknown as ElementHandle<HTMLSelectElement>).evaluate((e) => {
      const own = [...e.options].find((o) => o.textContent!.startsWith('House rules'))!;
      Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value')!.set!.call(e, own.value);
      e.dispatchEvent(new Event('change', { bubbles: true }));
    });
    await clickText(page, '.record-form button', 'Save');
    await waitForText(page, '.toast', 'The site is changed');
    await page.goto(`${demo.served.address}/bench/?entry=mb-jb-201-a&site=marrowick`);
    await waitForText(page, '[data-check="E-29"]', 'House rule 12, damage');
    await waitForText(page, '[data-check="E-14"]', 'IEC 60079-14:2013');
    expect(errors).toEqual([]);
    await page.close();
  });
});
