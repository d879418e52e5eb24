import type { ElementHandle, Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { clickText, openAs, openPage, waitForText } from './harness';
import { withDemo } from './with-demo';

const demo = withDemo();

const field = async (page: Page, label: string): Promise<ElementHandle<HTMLInputElement>> =>
  (await page.waitForFunction(
    (words) =>
      [...document.querySelectorAll('label')]
        .find((l) => l.textContent?.includes(words))
        ?.querySelector('input, select'),
    {},
    label,
  )) as unknown as ElementHandle<HTMLInputElement>;
const retype = async (page: Page, label: string, text: string) => {
  const input = await field(page, label);
  await input.click({ count: 3 });
  await input.type(text);
};

describe('certificates', () => {
  it('are searched, show their series on one scale, where a cable falls, and what rests on them', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'R. Tarn', '/certificates/?site=marrowick');
    await retype(page, 'Number, title or kind', 'withdrawn pattern');
    await waitForText(page, '.series aside', 'Nothing matches');
    await retype(page, 'Number, title or kind', 'first pattern');
    await waitForText(page, '.series main', 'This certificate is withdrawn');
    await waitForText(page, '.touched', 'entry');
    await retype(page, 'Overall diameter', '20,7');
    await retype(page, 'Inner sheath', '15.2');
    await retype(page, 'Armour wire', '1.25');
    await page.waitForFunction(() =>
      [...document.querySelectorAll('.charts svg')].some((svg) =>
        svg.getAttribute('aria-label')?.includes('the cable at 20.5 to 20.9 mm'),
      ),
    );
    await waitForText(page, '.charts', 'taken twice: 16.9 to 18.3 mm by S2 and S3');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('a new one is typed with the keyboard alone, its second size copied from the first', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'R. Tarn', '/certificates/?site=oxgate');
    await clickText(page, '.series aside a', 'Type a new one');
    await page.waitForSelector('.record-form');
    await page.focus('.record-form input');
    /** Tabs to the next field whose label holds the words, and types. */
    const tabTo = async (words: string, text: string | null) => {
      for (let i = 0; i < 90; i++) {
        const here = await page.evaluate((w) => {
          const at = document.activeElement!;
          return (at.closest('label')?.textContent ?? at.textContent ?? '').trim().startsWith(w);
        }, words);
        if (here) break;
        await page.keyboard.press('Tab');
      }
      if (text === null) return page.keyboard.press('Enter');
      await page.keyboard.down('Control');
      await page.keyboard.press('a');
      await page.keyboard.up('Control');
      await page.keyboard.type(text);
      await page.keyboard.press('Tab');
    };
    for (const [words, text] of [
      ['Number', 'FRN 26.0500'], ['Maker', 'Fernholt'], ['Title', 'keyboard gland'], ['Assembly sheet', 'FS 500'],
      ['Size', 'K1'], ['Smallest cable', '12'], ['Largest cable', '18.3'], ['Smallest cable', '7.6'], ['Largest cable', '13.1'],
      ['From', '0.8'], ['To', '1.25'],
    ] as const) await tabTo(words, text); // prettier-ignore
    // The copy of the whole size, not of its clamping ring: the last of the buttons of that name before "Take out".
    await page.evaluate(() => {
      const copies = [
        ...document.querySelectorAll<HTMLElement>('.record-form .list-item > .list-buttons button'),
      ].filter((b) => b.textContent === 'Copy');
      copies[copies.length - 1]!.focus();
    });
    await page.keyboard.press('Enter');
    await page.keyboard.type('K2');
    await tabTo('Smallest cable', '16.9');
    await tabTo('Largest cable', '24.1');
    await page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('.record-form button')]
        .find((b) => b.textContent === 'Save')!
        .focus(),
    );
    await page.keyboard.press('Enter');
    await waitForText(page, '.records', 'FRN 26.0500');
    await waitForText(page, '[role="status"]', 'Everything sent');
    const kept = await (await fetch(`${demo.served.address}/api/sites/oxgate/export/site.json/`)).json();
    const { certificate } = kept as {
      certificate: {
        number: string;
        sheet: { sizes: { size: string; outer: { rangeMm: number[] }; inner: { rangeMm: number[] } }[] };
      }[];
    };
    const made = certificate.find(({ number }) => number === 'FRN 26.0500')!;
    expect(
      made.sheet.sizes.map(({ size, outer, inner }) => [size, ...outer.rangeMm, ...inner.rangeMm]),
    ).toEqual([
      ['K1', 12, 18.3, 7.6, 13.1],
      ['K2', 16.9, 24.1, 7.6, 13.1],
    ]);
    expect(errors).toEqual([]);
    await page.close();
  });

  it('take in sizes as CSV after a preview', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'R. Tarn', '/certificates/?site=marrowick');
    await clickText(page, '.series aside button', 'Files in and out');
    await page.select('.import select', 'sizes');
    await page.evaluate(() => {
      const input = document.querySelector<HTMLInputElement>('.import input[type="file"]')!;
      const files = new DataTransfer();
      const text = 'certificate,size,thread,outer_from,outer_to\nFRN 22.0930,S7,M63x1.5,48.2,58.4\n';
      files.items.add(new File([text], 'sizes.csv', { type: 'text/csv' }));
      input.files = files.files;
      input.dispatchEvent(new Event('change', { bubbles: true }));
    });
    await waitForText(page, '.preview', 'FRN 22.0930 changed');
    await clickText(page, 'button', 'Take them in');
    await clickText(page, '.series aside li button', 'FRN 22.0930');
    await page.waitForFunction(() =>
      document.querySelector('.charts svg')?.getAttribute('aria-label')?.includes('S7 48.2 to 58.4 mm'),
    );
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('a whole schedule', () => {
  it('is worked out beside the page, and can be cancelled', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'R. Tarn', '/certificates/?site=marrowick&tab=schedule');
    await page.waitForSelector('.finder');
    await clickText(page, 'button', 'Find them');
    await waitForText(page, '.finder', 'Proposals (CSV)');
    // Every end of every cable of one entry, whatever the demo holds.
    await page.waitForFunction(() =>
      /\b([1-9]\d+) of \1 ends/.test(document.querySelector('.finder [role="status"]')?.textContent ?? ''),
    );
    await waitForText(page, '.finder table', 'FRN 23.0721 barrier gland, S3 (M25x1.5)');
    await page.select('.cable-fields select', 'none');
    await waitForText(page, '.finder tbody', 'no size on file fits');
    // Cancelled in the frame after its start, before the worker has answered.
    await page.evaluate(async () => {
      const button = (words: string) =>
        [...document.querySelectorAll('button')].find((b) => b.textContent === words);
      button('Find them again')!.click();
      while (!button('Cancel')) await new Promise((resolve) => requestAnimationFrame(resolve));
      button('Cancel')!.click();
    });
    await waitForText(page, '.finder [role="status"]', 'cancelled: what was found stays');
    expect(await page.$('progress')).toBeNull();
    expect(errors).toEqual([]);
    await page.close();
  });
});
