import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

import { describe, expect, it } from 'vitest';
import { clickText, openAs, openPage, waitForText } from './harness';
import { withDemo } from './with-demo';

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

const demo = withDemo();

const VIEWS: [path: string, ready: string][] = [
  ['/site/?site=marrowick', '.plan'],
  ['/bench/?entry=mb-jb-204-c&site=marrowick', '.bench'],
  ['/bench/?entry=mb-ax-31-b&site=marrowick', '.bench-panel'],
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
  ['/mineral/?site=marrowick&tab=link', '.verdict'],
  ['/mineral/?site=marrowick&tab=marks', '.mineral-drawing'],
  ['/mineral/?site=marrowick&cable=mb-cable-mi-11&tab=ends', '.both-ends'],
  ['/makeoff/?site=marrowick&entry=mb-ax-34-m', '.ir-grid'],
  ['/transit/?site=marrowick&entry=mb-tr-3-c', '.face-block'],
  ['/transit/?site=marrowick&entry=mb-tr-1-a&tab=plan', '.planner'],
  ['/transit/?site=marrowick&entry=mb-tr-4-b', '.sealed-face'],
  ['/defects/?site=marrowick', '.ledger'],
  ['/dossier/?site=marrowick&table=certificate&record=mb-cert-double', '.record-form'],
];

describe('every view', () => {
  it.each(VIEWS)(
    '%s has no violation that axe finds, in each appearance and at tablet size',
    async (path, ready) => {
      const { page, errors } = await openPage(demo.browser);
      await page.setBypassCSP(true);
      await openAs(page, demo.served, 'A. Vell', path);
      await page.waitForSelector(ready);
      const violations: string[] = [];
      for (const [appearance, width, height] of [
        ['paper', 1280, 800],
        ['night', 1280, 800],
        ['glare', 834, 1112],
      ] as const) {
        await page.setViewport({ width, height });
        await page.evaluate((a) => (document.documentElement.dataset.appearance = a), appearance);
        await page.evaluate(AXE);
        const found = await page.evaluate(async () => {
          const axe = (
            window as unknown as {
              axe: { run: () => Promise<{ violations: { id: string; nodes: { html: string }[] }[] }> };
            }
          ).axe;
          return (await axe.run()).violations.map(
            ({ id, nodes }) => `${id}: ${nodes[0]!.html.slice(0, 160)}`,
          );
        });
        violations.push(...found.map((text) => `${appearance} ${text}`));
      }
      expect(violations).toEqual([]);
      expect(errors).toEqual([]);
      await page.close();
    },
  );
});

describe('the dossier', () => {
  it('a site with an area, an enclosure, a cable, a certificate and an entry is made by hand, changed and undone', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'R. Tarn', '/dossier/?new=site');
    const fill = async (title: string, text: string) => {
      const input = await page.waitForFunction(
        // "Smallest cable#2" is the second field of that name.
        (t, nth) =>
          [...document.querySelectorAll<HTMLElement>('.record-form label.field')]
            .filter((l) => l.querySelector('span')?.textContent?.startsWith(t))
            [nth]?.querySelector<HTMLElement>('input, select'),
        {},
        title.split('#')[0]!,
        Number(title.split('#')[1] ?? 1) - 1,
      );
      const handle = input as unknown as {
        click: (o: object) => Promise<void>;
        type: (t: string) => Promise<void>;
        evaluate: (f: (e: HTMLElement) => string) => Promise<string>;
        select: (v: string) => Promise<void>;
      };
      if ((await handle.evaluate((e) => e.tagName)) === 'SELECT') {
        const value = await page.evaluate(
          (e, t) => [...(e as unknown as HTMLSelectElement).options].find((o) => o.text.startsWith(t))!.value,
          handle as never,
          text,
        );
        await handle.select(value);
        return;
      }
      await handle.click({ count: 3 });
      await handle.type(text);
    };
    const make = async (tab: string, one: string, fields: Record<string, string>) => {
      await clickText(page, '.dossier nav button', tab);
      await clickText(page, 'button', `New ${one}`);
      for (const [title, text] of Object.entries(fields)) await fill(title, text);
      await clickText(page, '.record-form button', 'Save');
      await page.waitForSelector('.records');
    };
    await fill('Name', 'Trial Works');
    await clickText(page, '.record-form button', 'Save');
    await waitForText(page, '.head select', 'Trial Works');
    await make('Areas', 'area', { Name: 'Hall', Zone: '1', Group: 'IIB' });
    await make('Certificates', 'certificate', {
      Number: 'FRN 26.0001', Maker: 'Fernholt', Title: 'Trial gland', 'Assembly sheet': 'FS 1', Size: 'S2', 'Smallest cable': '12', 'Largest cable': '18.3', 'Smallest cable#2': '7.6', 'Largest cable#2': '13.1', From: '0.8', To: '1.25',
    }); // prettier-ignore
    await make('Instruments', 'instrument', { Tag: 'Caliper 1' });
    await make('Cables', 'cable', {
      Tag: 'T-1',
      'Inner sheath': '7/16 in',
      'Outer sheath thickness': '1,4',
      'Overall diameter': '15.7',
    });
    await make('Enclosures', 'enclosure', {
      Tag: 'TB-1',
      'What it is': 'trial box',
      Area: 'Hall',
      'Protection as marked': 'eb',
    });
    await make('Entries', 'entry', {
      Enclosure: 'TB-1',
      Label: 'A',
      Certificate: 'FRN',
      'Size as marked': 'S2',
      Cable: 'T-1',
    });
    await waitForText(page, '.records', 'TB-1, entry A');

    await clickText(page, '.records button', 'TB-1, entry A');
    await fill('Label', 'Z');
    await clickText(page, '.record-form button', 'Save');
    await waitForText(page, '.records', 'TB-1, entry Z');
    await clickText(page, '.toast button', 'Undo');
    await waitForText(page, '.records', 'TB-1, entry A');

    await clickText(page, '.records button', 'TB-1, entry A');
    await clickText(page, '.table-head button', 'Remove');
    await waitForText(page, 'main', 'Make the first entry');
    await clickText(page, '.toast button', 'Undo');
    await waitForText(page, '.records', 'TB-1, entry A');

    await clickText(page, '.dossier nav button', 'Areas');
    await clickText(page, '.records button', 'Hall');
    await clickText(page, '.table-head button', 'Remove');
    await waitForText(page, '.toast', 'is used by 1 enclosure');

    await waitForText(page, '[role="status"]', 'Everything sent');
    await clickText(page, '.dossier nav button', 'Entries');
    await clickText(page, '.records button', 'TB-1, entry A');
    await clickText(page, 'a', 'Open on the bench');
    await clickText(page, 'button', 'Start a detailed round');
    await page.waitForSelector('.bench .drawing');
    await waitForText(page, '.judgement', 'Outer seal takes 12.0 to 18.3 mm; nothing has been measured');
    await waitForText(page, '[role="status"]', 'Everything sent');
    expect(await page.$('.notice')).toBeNull();
    expect(errors).toEqual([]);
    await page.close();
  });

  it('a cable schedule is shown before it is taken in, with its faults row by row, and undone in one go', async () => {
    const { page, errors } = await openPage(demo.browser);
    await openAs(page, demo.served, 'R. Tarn', '/dossier/?site=oxgate&table=files');
    await page.waitForSelector('.import input[type="file"]');
    const head = 'tag,length_m,cores,core_area_mm2,core_diameter,inner,armour,armour_size,sheath,outer,max_c';
    const upload = async (name: string, text: string) => {
      await page.evaluate(
        (n, t) => {
          const input = document.querySelector<HTMLInputElement>('.import input[type="file"]')!;
          const files = new DataTransfer();
          files.items.add(new File([t], n, { type: 'text/csv' }));
          input.files = files.files;
          input.dispatchEvent(new Event('change', { bubbles: true }));
        },
        name,
        text,
      );
    };
    await upload(
      'bad.csv',
      `${head}\nX-1,20,3,1.5,2.9,abc,wire,0.9,1.4,15.5,90\nX-1,20,3,1.5,2.9,10.9,chain,0.9,1.4,15.5,90\n`,
    );
    await waitForText(page, '.faults', 'Row 1, inner: "abc" is no length');
    await waitForText(page, '.faults', 'Row 2, tag: X-1 stands in row 1 already');
    await upload(
      'good.csv',
      `${head}\nX-1,20,3,1.5,2.9,10.9,wire,0.9,1.4,15.5,90\n=X-2,20,3,1.5,2.9,"10,9",braid,0.4,1.4,14.5,90\n`,
    );
    await waitForText(page, '.preview', 'X-1 new');
    await clickText(page, 'button', 'Take them in');
    await waitForText(page, '.toast', '2 records from good.csv');
    await clickText(page, '.toast button', 'Undo');
    await waitForText(page, '.toast', 'Undone');
    await waitForText(page, '[role="status"]', 'Everything sent');
    expect(errors).toEqual([]);
    await page.close();
  });

  it('both demo sites are kept apart', async () => {
    const { page } = await openPage(demo.browser);
    await openAs(page, demo.served, 'A. Vell', '/site/?site=oxgate');
    await waitForText(page, 'h1', 'Oxgate Malt');
    expect((await page.$$('.stops li')).length).toBe(5);
    expect(await page.$eval('.site', (e) => e.textContent)).not.toContain('JB-204');
    await page.close();
  });
});
