import { fill, makeRecord } from './form';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

import { describe, expect, it } from 'vitest';
import { KIND_TITLES } from '../../src/core/words/en/kinds/kinds';
import { LOOK_WORDS } from '../../src/core/words/en/kinds/looks';
import { PLACE_WORDS } from '../../src/core/words/en/kinds/places';
import { STEP_WORDS } from '../../src/core/words/en/kinds/handling';
import * as OF_STEPS from '../../src/core/words/en/kinds/steps';
import { PARTS } from '../../src/core/words/en/kinds/titles';
import { SETTLES } from '../../src/core/words/en/sentences/settles';
import { clickText, labelled, openAs, openPage, serveDemo, waitForText } from './harness';
import { withDemo } from './with-demo';

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

const demo = withDemo();

/** Keys of words that no person would write: none may be shown in place of its words. */
const KEYS = new Set(
  [LOOK_WORDS, PLACE_WORDS, STEP_WORDS, PARTS, KIND_TITLES, SETTLES, ...Object.values(OF_STEPS)]
    .flatMap((table) => (typeof table === 'object' ? Object.keys(table) : []))
    .filter((key) => /[a-z][-.][a-z]/.test(key)),
);

const VIEWS: [path: string, ready: string][] = [
  ['/site/?site=marrowick', '.plan'],
  ['/bench/?entry=mb-jb-204-c&site=marrowick', '.bench'],
  ['/bench/?entry=mb-ax-31-b&site=marrowick', '.bench-panel li'],
  ['/desk/?site=marrowick&tool=thread', '.desk-result'],
  ['/desk/?site=marrowick&tool=breathing', 'canvas'],
  ['/desk/?site=marrowick&tool=compound&entry=mb-ax-31-a', '.desk-result'],
  ['/makeoff/?site=marrowick&entry=mb-ax-34-b', '.step.open'],
  ['/makeoff/?site=marrowick&entry=mb-jb-201-a', '.plan-sheet'],
  ['/clocks/?site=marrowick', '.clock-list li'],
  ['/certificates/?site=marrowick', '.charts svg'],
  ['/certificates/?site=marrowick&tab=find&entry=mb-jb-201-a', '.candidate'],
  ['/certificates/?site=marrowick&tab=schedule', '.finder'],
  ['/mineral/?site=marrowick&cable=mb-cable-mi-03', 'canvas'],
  ['/mineral/?site=marrowick&tab=link', '[aria-label="Straight 1, mm"]'],
  ['/mineral/?site=marrowick&tab=marks', '.mineral-drawing'],
  ['/mineral/?site=marrowick&cable=mb-cable-mi-11&tab=ends', '.mineral-drawing'],
  ['/makeoff/?site=marrowick&entry=mb-ax-34-m', '.ir-grid'],
  ['/transit/?site=marrowick&entry=mb-tr-3-c', '.face-block'],
  ['/transit/?site=marrowick&entry=mb-tr-1-a&tab=plan', '[aria-label="Cables"]'],
  ['/transit/?site=marrowick&entry=mb-tr-4-b', '.sealed-face'],
  ['/defects/?site=marrowick', '.ledger'],
  ['/report/?site=marrowick', '.files'],
  ['/dossier/?site=marrowick&table=certificate&record=mb-cert-double', '.record-form'],
];

describe('every view', () => {
  it.each(VIEWS)(
    '%s has no violation that axe finds, in each appearance, at the desk and on a phone',
    async (path, ready) => {
      const { page, errors } = await openPage(demo.browser);
      await page.setBypassCSP(true);
      await openAs(page, demo.served, 'A. Vell', path);
      await page.waitForSelector(ready);
      const shown = await page.evaluate(() =>
        [...document.querySelectorAll('main *, aside *, nav *')].flatMap((e) =>
          [...e.childNodes].flatMap((n) => (n.nodeType === Node.TEXT_NODE ? n.textContent!.trim() : [])),
        ),
      );
      expect(shown.filter((text) => KEYS.has(text))).toEqual([]);
      const violations: string[] = [];
      for (const [appearance, width, height, rules] of [
        ['paper', 1280, 800, null],
        // Of what was looked at already only the colours are others.
        ['night', 1280, 800, ['color-contrast']],
        ['glare', 390, 844, null],
      ] as const) {
        await page.setViewport({ width, height });
        await page.evaluate((a) => (document.documentElement.dataset.appearance = a), appearance);
        await page.evaluate(AXE);
        const found = await page.evaluate(async (only) => {
          const axe = (
            window as unknown as {
              axe: {
                run: (
                  options: object,
                ) => Promise<{ violations: { id: string; nodes: { html: string }[] }[] }>;
              };
            }
          ).axe;
          return (await axe.run(only ? { runOnly: [...only] } : {})).violations.map(
            ({ id, nodes }) => `${id}: ${nodes[0]!.html.slice(0, 160)}`,
          );
        }, rules);
        violations.push(...found.map((text) => `${appearance} ${text}`));
      }
      expect(violations).toEqual([]);
      expect(errors).toEqual([]);
      await page.close();
    },
  );
});

describe('the browser’s Back', () => {
  it.each([
    ['/certificates/?site=marrowick', 'Find a gland', '.finder', '.series'],
    [
      '/mineral/?site=marrowick&cable=mb-cable-mi-03',
      'Length of a link',
      '[aria-label="Straight 1, mm"]',
      'canvas',
    ],
    [
      '/transit/?site=marrowick&entry=mb-tr-1-a',
      'Packing planner',
      '[aria-label="Cables"]',
      '.face-plate, .board',
    ],
  ])('of %s goes to the tab before, and forth again', async (path, tab, there, before) => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', path);
    await page.waitForSelector(before);
    await clickText(page, '[role="tab"]', tab);
    await page.waitForSelector(there);
    await page.goBack();
    await page.waitForSelector(before);
    await page.goForward();
    await page.waitForSelector(there);
    expect(errors).toEqual([]);
    await page.close();
  });
});

describe('the dossier', () => {
  it('an empty installation leads to its first site, in words', async () => {
    const served = await serveDemo({ empty: true });
    const { page, errors } = await openPage(demo.browser);
    await page.goto(`${served.address}/`);
    const name = await labelled(page, 'Another name');
    await name.type('A. Vell');
    await page.keyboard.press('Enter');
    await waitForText(page, 'h1', 'No site yet');
    await clickText(page, 'main a', 'Make a site');
    await page.waitForSelector('.record-form');
    await fill(page, 'name', 'First Works');
    await clickText(page, '.form-foot button', 'Save');
    await waitForText(page, '.head select', 'First Works');
    await waitForText(page, 'main', 'Make the first');
    expect(errors).toEqual([]);
    await page.close();
    await served.stop();
  });

  it('a site with an area, an enclosure, a cable, a certificate and an entry is made by hand, changed and undone', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'R. Tarn', '/dossier/?new=site');
    await fill(page, 'name', 'Trial Works');
    await clickText(page, '.form-foot button', 'Save');
    await waitForText(page, '.head select', 'Trial Works');
    await makeRecord(page, 'Areas', 'area', { name: 'Hall', zone: '1', group: 'IIB', 'ambientC.0': '-10', 'ambientC.1': '104 °F' }); // prettier-ignore
    await makeRecord(page, 'Certificates', 'certificate', {
      number: 'FRN 26.0001', maker: 'Fernholt', title: 'Trial gland', kind: 'double-seal', concepts: 'Ex db, eb', 'sheet.number': 'FS 1',
      'sheet.sizes': null, 'sheet.sizes.0.size': 'S2', 'sheet.sizes.0.thread': 'M20x1.5', 'sheet.sizes.0.outer.rangeMm.0': '12', 'sheet.sizes.0.outer.rangeMm.1': '18.3',
    }); // prettier-ignore
    await makeRecord(page, 'Instruments', 'instrument', {
      tag: 'Caliper 1', kind: 'caliper', unit: 'mm', 'span.0': '0', 'span.1': '150', resolution: '0.01', expandedUncertainty: '0.03', coverageFactor: '2', calibratedUntil: '01012030',
    }); // prettier-ignore
    await makeRecord(page, 'Cables', 'cable', {
      tag: 'T-1',
      innerMm: '7/16 in',
      sheathMm: '1,4',
      outerMm: '15.7',
    });
    await makeRecord(page, 'Enclosures', 'enclosure', {
      tag: 'TB-1',
      what: 'trial box',
      area: 'Hall',
      concepts: 'Ex e',
    });
    await makeRecord(page, 'Entries', 'entry', {
      enclosure: 'TB-1', label: 'A', kind: 'double-seal', certificate: 'FRN', size: 'S2', cable: 'T-1',
    }); // prettier-ignore
    await waitForText(page, '.records', 'TB-1, entry A');

    await clickText(page, '.records button', 'TB-1, entry A');
    await fill(page, 'label', 'Z');
    await clickText(page, '.form-foot button', 'Save');
    await waitForText(page, '.records', 'TB-1, entry Z');
    await clickText(page, '.toast button', 'Undo');
    await waitForText(page, '.records', 'TB-1, entry A');

    await clickText(page, '.records button', 'TB-1, entry A');
    await clickText(page, '.title button', 'Remove');
    await waitForText(page, 'main', 'Make the first entry');
    await clickText(page, '.toast button', 'Undo');
    await waitForText(page, '.records', 'TB-1, entry A');

    await clickText(page, '.dossier nav button', 'Areas');
    await clickText(page, '.records button', 'Hall');
    await clickText(page, '.title button', 'Remove');
    await waitForText(page, '.toast', 'is used by 1 enclosure');

    await waitForText(page, '[role="status"]', 'Everything sent');
    await clickText(page, '.dossier nav button', 'Entries');
    await clickText(page, '.records button', 'TB-1, entry A');
    await clickText(page, 'a', 'Open on the bench');
    await clickText(page, 'button', 'Start a detailed round');
    await page.waitForSelector('.bench .drawing');
    // What nobody recorded is told as that, and nothing of it is sound.
    await waitForText(page, '.judgement', 'Not recorded: ');
    await waitForText(page, '.judgement h2', 'Not');
    await waitForText(page, '[role="status"]', 'Everything sent');
    expect(await page.$('.notice')).toBeNull();
    expect(errors).toEqual([]);
    await page.close();
  });

  it('a copy is confirmed field by field, and what is typed is kept until it is left on purpose', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'R. Tarn', '/dossier/?site=oxgate&table=enclosure');
    await clickText(page, '.records .line', '');
    await page.waitForSelector('.record-form');
    await clickText(page, '.title button', 'Copy');
    await waitForText(page, '.form-foot', 'copied, not confirmed');
    await fill(page, 'tag', 'OX-COPY');
    await clickText(page, '.form-foot button', 'Save');
    // Saving with a fact that nobody confirmed leads to that fact.
    expect(await page.evaluate(() => document.activeElement?.closest('[data-proposed]') !== null)).toBe(true);
    const left = async () => (await page.$$('[data-proposed]')).length;
    const before = await left();
    await page.keyboard.press('Enter');
    await page.waitForFunction(
      (n) => document.querySelectorAll('[data-proposed]').length === n - 1,
      {},
      before,
    );
    await clickText(page, '.dossier nav button', 'Areas');
    await waitForText(page, '[role="dialog"]', 'Leave without saving?');
    await clickText(page, '[role="dialog"] button', 'Stay');
    await fill(page, 'what', 'copied box');
    await fill(page, 'area', 'M');
    await clickText(page, '.form-foot button', 'Leave the rest not recorded');
    await clickText(page, '.form-foot button', 'Save');
    await page.waitForSelector('.records');
    await clickText(page, '.records button', 'OX-COPY');
    await page.waitForSelector('.record-form');
    const wall = await page.$eval('[data-path="wallMm"] input', (input) => (input as HTMLInputElement).value);
    expect(wall).toBe('');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('a record has its own address; Back asks before what is typed in it is lost', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'R. Tarn', '/dossier/?site=oxgate&table=enclosure');
    await clickText(page, '.records .line', '');
    await page.waitForSelector('.record-form');
    const typedIn = page.url();
    expect(typedIn).toContain('record=');
    await page.reload();
    await fill(page, 'what', ' typed and not saved');
    // The page asks by itself before it is left for another; within it, the program does.
    await page.evaluate(() => history.back());
    await waitForText(page, '[role="dialog"]', 'Leave without saving?');
    expect(page.url()).toBe(typedIn);
    await clickText(page, '[role="dialog"] button', 'Stay');
    const what = () =>
      page.$eval('[data-path="what"] :is(input, textarea)', (input) => (input as HTMLInputElement).value);
    expect(await what()).toContain('typed and not saved');
    await page.evaluate(() => history.back());
    await clickText(page, '[role="dialog"] button', 'Leave');
    await page.waitForSelector('.records');
    expect(page.url()).not.toContain('record=');
    await page.evaluate(() => history.forward());
    await page.waitForSelector('.record-form');
    expect(await what()).not.toContain('typed and not saved');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('errors stand at their field in words, and go when it is right', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'R. Tarn', '/dossier/?site=oxgate&table=enclosure');
    await page.waitForSelector('.records');
    await clickText(page, 'button', 'New enclosure');
    await fill(page, 'wallMm', 'thick');
    await fill(page, 'concepts', 'Ex db IIC');
    await clickText(page, '.form-foot button', 'Save');
    await waitForText(page, '[data-path="wallMm"]', 'That is not a length');
    await waitForText(page, '[data-path="concepts"]', '"IIC" is no kind of protection');
    await waitForText(page, '[data-path="tag"]', 'Not filled in yet');
    await fill(page, 'wallMm', '1/2 in');
    await waitForText(page, '[data-path="wallMm"]', '= 12.7 mm');
    await fill(page, 'concepts', 'Ex db');
    await waitForText(page, '[data-path="concepts"]', '= db');
    await page.waitForFunction(
      () => !document.querySelector('[data-path="wallMm"].invalid, [data-path="concepts"].invalid'),
    );
    const tag = await page.evaluate(() => document.querySelector('[data-path="tag"]')!.textContent);
    expect(tag).toContain('Not filled in yet');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('both demo sites are kept apart', async () => {
    const { page } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/site/?site=oxgate');
    await waitForText(page, 'h1', 'Oxgate Malt');
    expect((await page.$$('.stops tr[data-row]')).length).toBe(5);
    expect(await page.$eval('.site', (e) => e.textContent)).not.toContain('JB-204');
    await page.close();
  });
});
