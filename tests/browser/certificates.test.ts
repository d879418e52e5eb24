import { describe, expect, it } from 'vitest';
import { choose, fetchAs, clickText, openAs, openPage, retype, waitForText } from './harness';
import { withDemo } from './with-demo';

const demo = withDemo();

describe('certificates', () => {
  it('are searched, show their series on one scale, where a cable falls, and what rests on them', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'R. Tarn', '/certificates/?site=marrowick');
    await retype(page, 'Number, title or kind', 'withdrawn pattern');
    await waitForText(page, '.series aside', 'Nothing matches');
    await retype(page, 'Number, title or kind', 'first pattern');
    await waitForText(page, '.series main', 'This certificate is withdrawn');
    await waitForText(page, '.series main ul', 'entry');
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
    /** Tabs to the field of a path, or to a button with a text. */
    const tabTo = async (where: { path: string } | { button: string; in: string }) => {
      for (let i = 0; i < 160; i++) {
        const here = await page.evaluate((w) => {
          const active = document.activeElement as HTMLElement;
          if ('path' in w) return active.closest('[data-path]')?.getAttribute('data-path') === w.path;
          return (
            active.textContent === w.button &&
            active.closest('[data-path]')?.getAttribute('data-path') === w.in
          );
        }, where);
        if (here) return;
        await page.keyboard.press('Tab');
      }
      throw new Error(`No way to ${JSON.stringify(where)}`);
    };
    const put = async (path: string, text: string) => {
      await tabTo({ path });
      await page.keyboard.down('Control');
      await page.keyboard.press('a');
      await page.keyboard.up('Control');
      await page.keyboard.type(text);
    };
    for (const [path, text] of [
      ['number', 'FRN 26.0500'], ['maker', 'Fernholt'], ['title', 'keyboard gland'], ['kind', 'double'], ['sheet.number', 'FS 500'],
    ] as const) await put(path, text); // prettier-ignore
    await tabTo({ button: 'Add', in: 'sheet.sizes' });
    await page.keyboard.press('Enter');
    await page.waitForSelector('[data-path="sheet.sizes.0.size"]');
    const K1 = 'sheet.sizes.0';
    await put(`${K1}.size`, 'K1');
    await put(`${K1}.outer.rangeMm.0`, '12');
    await put(`${K1}.outer.rangeMm.1`, '18.3');
    // The copy of the size: its facts are confirmed with Enter, one after the other.
    await page.evaluate(() => {
      const copies = [...document.querySelectorAll<HTMLElement>('[data-path="sheet.sizes"] > .wide > .list-item > .wide button')]; // prettier-ignore
      copies.find((b) => b.textContent === 'Copy')!.focus();
    });
    await page.keyboard.press('Enter');
    const K2 = 'sheet.sizes.1';
    await page.waitForSelector(`[data-path="${K2}.size"]`);
    await put(`${K2}.size`, 'K2');
    await put(`${K2}.outer.rangeMm.0`, '16.9');
    await put(`${K2}.outer.rangeMm.1`, '24.1');
    await page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('.form-foot button')]
        .find((b) => b.textContent === 'Save')!
        .focus(),
    );
    await page.keyboard.press('Enter');
    await waitForText(page, '.records', 'FRN 26.0500');
    await waitForText(page, '[role="status"]', 'Everything sent');
    const kept = await (await fetchAs(demo.served.address, '/api/sites/oxgate/export/site.json/')).json();
    const { certificate } = kept as {
      certificate: {
        number: string;
        sheet: { sizes: { size: string; outer: { rangeMm: number[] } }[] };
      }[];
    };
    const made = certificate.find(({ number }) => number === 'FRN 26.0500')!;
    expect(made.sheet.sizes.map(({ size, outer }) => [size, ...outer.rangeMm])).toEqual([
      ['K1', 12, 18.3],
      ['K2', 16.9, 24.1],
    ]);
    expect(errors).toEqual([]);
    await page.close();
  });

  it('take in sizes as CSV after a preview', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'R. Tarn', '/certificates/?site=marrowick');
    await clickText(page, '.series aside button', 'Files in and out');
    await page.waitForSelector('.import select');
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
    await clickText(page, '.series aside button', 'FRN 22.0930');
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
    await choose(page, 'Show', 'none');
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
    expect(await page.$('.finder [role="progressbar"]')).toBeNull();
    expect(errors).toEqual([]);
    await page.close();
  });
});
