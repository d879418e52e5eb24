import type { Page } from 'puppeteer-core';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { describe, expect, inject, it } from 'vitest';
import { fetchAs, clickText, labelled, openAs, openPage, serveDemo, waitForText } from './harness';
import { withDemo } from './with-demo';

const demo = withDemo();

/** Verdict of a check in the judgement column. */
const outcome = (page: Page, check: string) =>
  page.$eval(`[data-check="${check}"]`, (li) => (li as HTMLElement).dataset.outcome);
const untilOutcome = (page: Page, check: string, wanted: string) =>
  page.waitForFunction(
    (c, w) => document.querySelector<HTMLElement>(`[data-check="${c}"]`)?.dataset.outcome === w,
    {},
    check,
    wanted,
  );
const statement = (page: Page, check: string) =>
  page.$eval(`[data-check="${check}"] .statement`, (e) => e.textContent ?? '');
const type = async (page: Page, text: string) => {
  await page.keyboard.type(text);
  await page.keyboard.press('Enter');
};

async function photoFile(): Promise<string> {
  const file = join(mkdtempSync(join(tmpdir(), 'yendral-photo-')), 'seal.jpg');
  writeFileSync(
    file,
    await sharp({ create: { width: 320, height: 240, channels: 3, background: '#557755' } })
      .jpeg()
      .toBuffer(),
  );
  return file;
}

describe('the bench', () => {
  it('walks to an entry, takes four readings, raises a defect with a photo, and finds it in the ledger and the export', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/site/');
    await (await labelled(page, 'Search entries')).type('JB-204 entry D');
    await clickText(page, '.stops a', 'JB-204, entry D');
    await page.waitForSelector('.bench');
    expect(await outcome(page, 'E-11')).toBe('unread');
    await clickText(page, '.place-head', 'Outer sheath');
    await page.focus('#main');

    await type(page, '24.0');
    await page.waitForSelector('.place[aria-label="Outer sheath"] .chip:not(.next)');
    expect(await outcome(page, 'E-11')).toBe('unread');
    await clickText(page, '.look .answers button', 'Bare and whole');
    // One reading inside the range settles nothing yet, and says what is missing.
    await untilOutcome(page, 'E-11', 'marginal');
    expect(await statement(page, 'E-11')).toContain('three are needed');
    // The look has gone on to the next one: back to the place.
    await clickText(page, '.place-head', 'Outer sheath');
    await page.focus('#main');
    await type(page, '23,95');
    await type(page, '15/16 in');
    // The third went on to the next place.
    await page.waitForSelector('.place[aria-label="Outer sheath"]:not(.selected)');
    await clickText(page, '.place-head', 'Outer sheath');
    await page.focus('#main');
    await type(page, '24.52');
    await untilOutcome(page, 'E-11', 'fails');
    expect(await statement(page, 'E-11')).toMatch(
      /takes 16\.9 to 24\.1 mm; it measures up to 24\.52 ± 0\.\d+ mm, 0\.42 mm too large/,
    );
    expect((await page.$$('.place .chip:not(.next)')).length).toBe(4);

    await clickText(page, '[data-check="E-11"] button', 'Outer seal takes');
    await page.focus('#main');
    await page.keyboard.press('d');
    await page.waitForSelector('[role="dialog"]');
    await page.type('[role="dialog"] textarea', 'Fit the next size up.');
    const input = await page.$('[role="dialog"] input[type="file"]');
    await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(await photoFile());
    await page.waitForSelector('[role="dialog"] .photos img');
    await clickText(page, '[role="dialog"] button', 'Keep');
    await waitForText(page, '[role="status"]', 'Everything sent');

    await clickText(page, 'header nav a', 'Defects');
    await page.waitForSelector('.ledger');
    await (await labelled(page, 'Search defects')).type('JB-204, entry D');
    await clickText(page, '.line', 'JB-204, entry D');
    await page.waitForSelector('.row-detail .photos img');
    expect(await page.$eval('.row-detail', (e) => e.textContent)).toContain('0.42 mm too large');

    await waitForText(page, '[role="status"]', 'Everything sent');
    const csv = await (await fetchAs(demo.served.address, '/api/sites/marrowick/export/defects.csv/')).text();
    const row = csv
      .split('\r\n')
      .find((line) => line.includes('JB-204') && line.includes('0.42 mm too large'));
    expect(row).toContain('Fit the next size up.');
    const findings = await (
      await fetchAs(demo.served.address, '/api/sites/marrowick/export/findings.json/')
    ).text();
    expect(findings).toContain('0.42 mm too large');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('does the same job by keyboard alone, readings straight from the caliper', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/site/');
    await page.keyboard.down('Control');
    await page.keyboard.press('k');
    await page.keyboard.up('Control');
    await page.waitForFunction(() => document.activeElement?.matches('[role="dialog"] input'));
    await page.keyboard.type('TY-3 entry D');
    await waitForText(page, '#find-hits', 'TY-3, entry D');
    await page.keyboard.press('Enter');
    await page.waitForSelector('.bench');
    await waitForText(page, 'h1', 'TY-3, entry D');
    // One stroke a reading: the jaws close, and it is taken when they rest.
    for (let wanted = 1; wanted <= 3; wanted++) {
      await page.keyboard.press('Space');
      await page.waitForFunction(
        (n) => document.querySelectorAll('.place[aria-label="Inner sheath"] .chip:not(.next)').length === n,
        {},
        wanted,
      );
    }
    await untilOutcome(page, 'E-12', 'conforms');
    const taken = await page.$$eval(
      '.place[aria-label="Inner sheath"] .chip:not(.next)',
      (all) => all.length,
    );
    await page.keyboard.press('u');
    await page.waitForFunction(
      (n) => document.querySelectorAll('.place[aria-label="Inner sheath"] .chip:not(.next)').length < n,
      {},
      taken,
    );
    // To the stop before and back again: the page stays, the address follows.
    await page.keyboard.press('b');
    await waitForText(page, 'h1', 'TY-3, entry C');
    expect(page.url()).toContain('entry=mb-ty-3-c');
    await page.keyboard.press('w');
    await waitForText(page, 'h1', 'TY-3, entry D');
    // What lost a reading is unread again, and one key away.
    await page.keyboard.press('n');
    await page.waitForSelector('.place[aria-label="Inner sheath"].selected');
    await page.keyboard.press('ArrowRight');
    await page.waitForSelector(
      '.place[aria-label="Armour"].selected, .place[aria-label="Outer sheath"].selected',
    );
    await page.keyboard.press('g');
    await page.waitForSelector('.grades input[value="visual"]:checked');
    await page.keyboard.press('?');
    await waitForText(page, '[role="dialog"]', 'Raise a defect');
    await page.keyboard.press('Escape');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('an instrument past its calibration does not send; what is typed from it is kept and marked', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/bench/?entry=pg-jb-204-b&site=proving-ground');
    await page.waitForSelector('.bench');
    await clickText(page, '.place-head', 'Inner sheath');
    await page.select('[aria-label="Instrument"]', 'pg-caliper-03');
    await clickText(page, '.tray button', 'Jaws');
    await clickText(page, '.caliper button', 'Close the jaws');
    await page.waitForFunction(() => document.querySelector('.instrument output')?.textContent === 'refuses');
    await page.focus('#main');
    await page.keyboard.press('Space');
    await waitForText(page, '.toast', 'past its calibration date');
    await type(page, '21.3');
    await untilOutcome(page, 'E-12', 'unread');
    expect(await statement(page, 'E-12')).toContain('past its calibration date');
    expect(await page.$('.place[aria-label="Inner sheath"] .chip.faulty')).not.toBeNull();
    expect(errors).toEqual([]);
    await page.close();
  });

  it('typing nonsense says what to type and keeps nothing', async () => {
    const { page } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/bench/?entry=pg-jb-204-b&site=proving-ground');
    await page.waitForSelector('.typing input');
    const chips = (await page.$$('.chip:not(.next)')).length;
    for (const [text, said] of [
      ['abc', 'not a length'],
      ['-3', 'cannot be negative'],
      ['1e9', 'not a length'],
      ['9999999', 'At most'],
    ] as const) {
      // What stands there is taken out the way a person does it: a page that draws anew meanwhile puts it back.
      await page.focus('.typing input');
      await page.keyboard.down('Control');
      await page.keyboard.press('a');
      await page.keyboard.up('Control');
      await page.keyboard.press('Backspace');
      await page.waitForFunction(
        () => document.querySelector<HTMLInputElement>('.typing input')?.value === '',
      );
      await type(page, text);
      await waitForText(page, '.typing', said);
    }
    expect((await page.$$('.chip:not(.next)')).length).toBe(chips);
    await page.close();
  });
});

describe('several people', () => {
  it('see each other’s readings as they come, and both stay', async () => {
    const path = '/bench/?entry=pg-ty-3-d&site=proving-ground';
    const [a, b] = [await openPage(demo.browser), await openPage(demo.browser)];
    await openAs(a.page, demo.served, 'A. Vell', path);
    await openAs(b.page, demo.served, 'M. Okonjo', path);
    await b.page.waitForSelector('.bench');
    await clickText(a.page, '.place-head', 'Armour');
    await a.page.focus('#main');
    await type(a.page, '1.61');
    await b.page.waitForSelector('.place[aria-label="Armour"] .chip[aria-label="Reading 1.61"]');
    await clickText(b.page, '.place-head', 'Armour');
    await b.page.focus('#main');
    await type(b.page, '1.64');
    await a.page.waitForSelector('.place[aria-label="Armour"] .chip[aria-label="Reading 1.64"]');
    expect((await a.page.$$('.place[aria-label="Armour"] .chip:not(.next)')).length).toBe(2);
    expect([...a.errors, ...b.errors]).toEqual([]);
    await a.page.close();
    await b.page.close();
  });

  it('a page notices that another database answers, and shows that one', async () => {
    const first = await serveDemo({ seeded: inject('seeded') });
    const { page } = await openPage(demo.browser);
    await openAs(page, first, 'A. Vell', '/bench/?entry=pg-jb-204-d&site=proving-ground');
    await page.waitForSelector('.bench');
    await clickText(page, '.place-head', 'Armour');
    await page.focus('#main');
    await type(page, '1.33');
    await waitForText(page, '[role="status"]', 'Everything sent');
    await page.waitForSelector('.chip[aria-label="Reading 1.33"]');
    await first.stop();
    const second = await serveDemo({ port: first.port });
    await page.reload();
    await clickText(page, 'button', 'A. Vell');
    await page.waitForSelector('.bench');
    await page.waitForFunction(() => !document.querySelector('.chip[aria-label="Reading 1.33"]'));
    await page.close();
    await second.stop();
  });
});

describe('without the server', () => {
  it('readings are kept over a reload and sent when the server is back', async () => {
    let own = await serveDemo({ seeded: inject('seeded') });
    const { page, errors } = await openPage(demo.browser);
    const address = own.address;
    await openAs(page, own, 'M. Okonjo', '/bench/?entry=pg-ty-3-d&site=proving-ground');
    await page.waitForSelector('.bench');
    // The service worker must have the pages before the signal goes.
    await page.evaluate(() => navigator.serviceWorker.ready);
    await page.waitForFunction(async () => (await caches.keys()).some((name) => name.includes('precache')));
    await page.reload();
    await page.waitForSelector('.bench');
    // The device's own copy of the site has to lie there too.
    await page.waitForFunction(
      () =>
        new Promise<boolean>((resolve) => {
          const open = indexedDB.open('yendral');
          open.onerror = () => resolve(false);
          open.onsuccess = () => {
            const asked = open.result.transaction('copies').objectStore('copies').getKey('proving-ground');
            asked.onsuccess = () => {
              open.result.close();
              resolve(asked.result !== undefined);
            };
          };
        }),
    );

    const { data, port } = own;
    await own.stop();
    await clickText(page, '.place-head', 'Outer sheath');
    await page.focus('#main');
    for (const text of ['27.9', '27.95', '27.85']) await type(page, text);
    await waitForText(page, '[role="status"]', '3 records waiting to send');
    await page.reload();
    await page.waitForSelector('.bench');
    await waitForText(page, '[role="status"]', '3 records waiting to send');
    expect((await page.$$('.place[aria-label="Outer sheath"] .chip:not(.next)')).length).toBe(3);

    // The page drives the caliper itself while the server is away.
    await clickText(page, '.place-head', 'Inner sheath');
    await page.focus('#main');
    await page.waitForFunction(async () => {
      document.body.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true }));
      await new Promise((resolve) => setTimeout(resolve, 400));
      return document.querySelectorAll('.place[aria-label="Inner sheath"] .chip:not(.next)').length > 0;
    });

    own = await serveDemo({ data, port });
    expect(own.address).toBe(address);
    await waitForText(page, '[role="status"]', 'Everything sent');
    const { records } = (await (await fetchAs(address, '/api/sites/proving-ground/')).json()) as {
      records: { reading: { entry: string; place: string; value: number; by: string }[] };
    };
    const kept = records.reading.filter(
      ({ entry, place }) => entry === 'pg-ty-3-d' && place === 'outer-sheath',
    );
    expect(kept.map(({ value }) => value).sort()).toEqual([27.85, 27.9, 27.95]);
    expect(kept.every(({ by }) => by === 'M. Okonjo')).toBe(true);
    expect(errors).toEqual([]);
    await page.close();
    await own.stop();
  });
});
