import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import { expect, it } from 'vitest';
import { choose, fetchAs, clickText, openAs, openPage, retype, waitForText } from './harness';
import { withDemo } from './with-demo';

const demo = withDemo();

/** One long sitting over many pages, as the responsible person spends it. */
it('seals, assigns, proves, imports, and starts a new round, from page to page', async () => {
  const { page, errors } = await openPage(demo.browser);
  await openAs(page, demo.served, 'R. Tarn', '/bench/?entry=pg-jb-201-a&site=proving-ground');
  await page.waitForSelector('.bench');

  await page.focus('#main');
  await page.keyboard.press('s');
  await clickText(page, '[role="dialog"] button', 'Seal it');
  await waitForText(page, '.side-foot button', 'Sealed');
  await page.waitForSelector('.typing input:disabled');

  await clickText(page, '.walk a', 'JB-203, entry B');
  await waitForText(page, 'h1', 'JB-203, entry B');
  await clickText(page, '.judgement a', 'Defect level');
  const owner = await page.waitForSelector('.row-detail input[list]');
  await owner!.type('R. Tarn');
  await clickText(page, '.row-detail button', 'Assign');
  await waitForText(page, '.ledger tr', 'Assigned');
  await clickText(page, '.row-detail button', 'Mark as done');
  await waitForText(page, '.ledger tr', 'Done, not proven');
  await clickText(page, '.row-detail button', 'Proven');
  await waitForText(page, '.row-detail [role="alert"]', 're-inspection');
  await (await page.$('.row-detail select'))!.select('2');
  await clickText(page, '.row-detail button', 'Keep changes');
  await waitForText(page, '.row-detail', 'Say why the level is changed');
  await retype(page, 'Why the level is changed', 'isolated at the breaker');
  await clickText(page, '.row-detail button', 'Keep changes');
  await waitForText(page, '.toast', 'The defect is changed');
  await clickText(page, '.toast button', 'Undo');
  await waitForText(page, '.toast', 'Undone');

  // A defect of the earlier round whose check conforms in the newer one.
  await page.goto(`${demo.served.address}/defects/?site=proving-ground`);
  await page.waitForSelector('.ledger');
  await clickText(page, '.line', 'JB-201, entry A');
  await clickText(page, '.row-detail button', 'Proven');
  await choose(page, 'State', 'proven');
  await waitForText(page, '.ledger tr', 'Proven');

  await waitForText(page, '[role="status"]', 'Everything sent');
  const site = (await (
    await fetchAs(demo.served.address, '/api/sites/proving-ground/export/site.json')
  ).json()) as {
    certificate: Record<string, unknown>[];
  };
  const { id: _id, site: _site, ...certificate } = site.certificate[0]!;
  const file = join(mkdtempSync(join(tmpdir(), 'yendral-cert-')), 'certificate.json');
  writeFileSync(
    file,
    JSON.stringify({
      format: 'yendral-certificate-1',
      certificate: { ...certificate, number: 'FRN 26.0002' },
    }),
  );
  await page.goto(`${demo.served.address}/dossier/?site=proving-ground&table=files`);
  await page.waitForSelector('[aria-label="Certificates"] select');
  const input = (await page.$(
    '[aria-label="Certificates"] input[type="file"]',
  )) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(file);
  await waitForText(page, '.preview', 'FRN 26.0002');
  await clickText(page, 'button', 'Take them in');
  await waitForText(page, '.toast', 'taken in');

  await clickText(page, '.dossier nav button', 'Rounds');
  await clickText(page, 'button', 'New round');
  await (await page.waitForSelector('.record-form input'))!.type('Round 15');
  await clickText(page, 'button', 'All');
  await clickText(page, '.record-form button', 'Save');
  await waitForText(page, '.records', 'Round 15');
  await waitForText(page, '[role="status"]', 'Everything sent');

  // Many pages later the server still answers: a page that was left holds no stream open.
  for (const path of ['/site/?site=oxgate', '/defects/?site=proving-ground', '/site/?site=proving-ground']) {
    await page.goto(demo.served.address + path);
    await page.waitForSelector('#main');
  }
  await page.goto(`${demo.served.address}/bench/?entry=pg-jb-201-a&site=proving-ground`);
  await waitForText(page, '.judgement', 'nothing has been measured');
  await page.goto(`${demo.served.address}/dossier/?site=proving-ground&table=round&record=pg-round-14`);
  await waitForText(page, '.record-history', 'added');
  expect(await page.$('.notice')).toBeNull();
  expect(errors).toEqual([]);
  await page.close();
});

it('a defect that is mended is proven in five actions, led through nothing but what its check needs', async () => {
  const { page, errors } = await openPage(demo.browser);
  await openAs(page, demo.served, 'R. Tarn', '/defects/?site=proving-ground&entry=pg-ty-2-b');
  let actions = 0;
  const press = async (selector: string, words: string) => {
    actions++;
    await clickText(page, selector, words);
  };
  await press('.line', 'TY-2, entry B');
  await press('.row-detail button', 'Re-inspect it');
  const bar = '[aria-label="Re-inspection"]';
  await waitForText(page, `${bar} [aria-label="Before"]`, 'missing, seen by A. Vell');
  await press('.next-bar', 'Next of 1: Bond and tag');
  const good = await page.waitForSelector('.look.active .answers button');
  actions++;
  await good!.click();
  await waitForText(page, `${bar} [aria-label="Now"]`, 'present and tight, seen by R. Tarn');
  await press(`${bar} button`, 'Proven by this re-inspection');
  await waitForText(page, bar, 'Proven. Seal this inspection');
  expect(actions).toBeLessThanOrEqual(5);
  await waitForText(page, '[role="status"]', 'Everything sent');
  await page.goto(`${demo.served.address}/defects/?site=proving-ground&entry=pg-ty-2-b`);
  await waitForText(page, '.ledger tr', 'Proven');
  expect(errors).toEqual([]);
  await page.close();
});
