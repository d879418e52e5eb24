import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import loadHighs from 'highs';
import { seedDemo } from '../../demo/seed';
import { rankGlands } from '../../src/core/finder/rank';
import { pack } from '../../src/core/transit/pack/pack';
import { solverOf, type HighsLike } from '../../src/core/transit/pack/solver';
import { needsOf, propose } from '../../src/core/finder/schedule';
import type { Certificate } from '../../src/core/record/types';
import { currentRound, dossierOf } from '../../src/core/rulebook/dossier';
import { judge } from '../../src/core/rulebook/judge';
import { closeApp, openApp } from '../../src/server/app/app';
import { clockFrom } from '../../src/server/base/clock';
import { fuzz } from './fuzz';
import { kills } from './kills';
import { load } from './load';
import { paint } from './paint';
import { scale } from './scale';
import { walks } from './walks';
import { writing } from './writing';
import { openAs, openBrowser, openPage, serveDemo } from '../browser/harness';

const folder = () => mkdtempSync(join(tmpdir(), 'yendral-bench-'));
const perSecond = (n: number, ms: number) => Math.round((n * 1000) / ms).toLocaleString('en');

/** (a) Judgements of the demo's entries per second, in the core alone. */
function judgements(app: ReturnType<typeof openApp>): void {
  const dossiers = app.sites
    .get('marrowick')!
    .records.by('entry', 'site', 'marrowick')
    .map(({ id }) => {
      return dossierOf(
        app.sites.get('marrowick')!.records,
        id,
        currentRound(app.sites.get('marrowick')!.records, id, 'marrowick'),
      )!;
    });
  const runs = 400;
  // The engine compiles the rules while they run; what is measured is the speed that a site's refresh reaches.
  for (let i = 0; i < 200; i++) for (const dossier of dossiers) judge(dossier, 'detailed', '');
  const start = performance.now();
  for (let i = 0; i < runs; i++) for (const dossier of dossiers) judge(dossier, 'detailed', '');
  const ms = performance.now() - start;
  console.log(
    `(a) judgements: ${perSecond(runs * dossiers.length, ms)} entries/s (${dossiers.length} entries, detailed)`,
  );
}

/** (e) Ranking 2,000 gland sizes against a cable, and a schedule of 1,000 cables against them. */
function ranking(app: ReturnType<typeof openApp>): void {
  const { records } = app.sites.get('marrowick')!;
  const onFile = records.by('certificate', 'site', 'marrowick');
  const certificates: Certificate[] = [];
  for (let n = 0; n < 2000; n += onFile[certificates.length % onFile.length]!.sheet.sizes.length) {
    const one = onFile[certificates.length % onFile.length]!;
    certificates.push({ ...one, id: `${one.id}-${n}`, number: `${one.number}-${n}` });
  }
  const needs = needsOf(records, 'marrowick');
  const times = Array.from({ length: 60 }, (_, i) => {
    const start = performance.now();
    rankGlands(needs[i % needs.length]!.need, certificates, '');
    return performance.now() - start;
  });
  const at = (share: number, list: number[]) => list[Math.floor(share * (list.length - 1))]!.toFixed(1);
  const warm = times.slice(10).sort((a, b) => a - b);
  const sizes = certificates.reduce((sum, { sheet }) => sum + sheet.sizes.length, 0);
  console.log(
    `(e) ranking ${sizes} sizes for a cable: first ${times[0]!.toFixed(1)} ms, then median ${at(0.5, warm)} ms, 95 % ${at(0.95, warm)} ms`,
  );
  const start = performance.now();
  for (let i = 0; i < 1000; i++) propose(needs[i % needs.length]!, certificates, '');
  console.log(
    `(e) schedule of 1000 ends against ${sizes} sizes: ${((performance.now() - start) / 1000).toFixed(1)} s in the worker's thread`,
  );
}

/** Invented cables of a plant: many thin ones, some thick. */
function plantCables(n: number, seed: number) {
  let state = seed;
  const next = () => (state = (state * 1664525 + 1013904223) >>> 0) / 2 ** 32;
  return Array.from({ length: n }, (_, i) => {
    const u = next();
    const mm =
      u < 0.45 ? 4 + next() * 9 : u < 0.8 ? 11 + next() * 12 : u < 0.95 ? 22 + next() * 11 : 30 + next() * 20;
    return { id: `c${i}`, minMm: mm, maxMm: mm + 0.2 };
  });
}
const BLOCKS: [sizeMm: number, rangeMm: [number, number]][] = [
  [15, [3, 11]], [20, [4, 14.5]], [30, [10, 25]], [40, [21, 34]], [60, [28, 54]], [90, [48, 71]], [120, [67, 99]],
]; // prettier-ignore

/** (f) Packing a frame: until the first complete answer, until the least height is proven, and all in all. */
async function packing(): Promise<void> {
  const solve = solverOf((await loadHighs({})) as unknown as HighsLike);
  const run = (cables: number, openings: number, seed: number) => {
    const at: Record<string, number> = {};
    const start = performance.now();
    pack(
      {
        openings: Array.from({ length: openings }, (_, o) => ({
          id: `${o}`, widthMm: 120, heightMm: 398, plateMm: 1, compressionMm: [20, 45] as const,
        })),
        blocks: BLOCKS.map(([sizeMm, rangeMm]) => ({ sizeMm, rangeMm })),
        cables: plantCables(cables, seed),
        sparePct: 20,
      },
      solve,
      { news: (packing, step) => (at[packing.provenBest && step !== 'openings' ? 'proven' : step] ??= performance.now() - start) },
    ); // prettier-ignore
    return { ...at, all: performance.now() - start } as Record<string, number>;
  };
  run(10, 1, 9);
  for (const [cables, openings] of [
    [40, 1],
    [120, 4],
  ] as const) {
    const runs = [1, 2, 3, 4, 5].map((seed) => run(cables, openings, seed));
    const worst = (name: string) => Math.max(...runs.map((one) => one[name] ?? 0)).toFixed(0);
    console.log(
      `(f) packing ${cables} cables in ${openings} × 120 × 398 mm, worst of ${runs.length}: first answer ${worst('first')} ms, best proven ${worst('proven')} ms, all steps ${worst('all')} ms`,
    );
  }
  console.log(`(f) memory of the process ${(process.memoryUsage().rss / 1e6).toFixed(0)} MB`);
}

/** (b) From the Enter key on the bench to the painted verdict; (d) what the bench loads at first. */
async function keystroke(): Promise<void> {
  const served = await serveDemo();
  const { browser, close } = await openBrowser();
  const { page } = await openPage(browser);
  await openAs(page, served, 'A. Vell', '/site/');
  const scripts = new Set<string>();
  page.on('response', (response) => {
    if (response.request().resourceType() === 'script') scripts.add(response.url());
  });
  await page.goto(`${served.address}/bench/?entry=mb-jb-204-d&site=marrowick`);
  await page.waitForSelector('.bench');
  let bytes = 0;
  for (const url of scripts) bytes += gzipSync(Buffer.from(await (await fetch(url)).arrayBuffer())).length;
  console.log(
    `(d) first load of the bench: ${(bytes / 1000).toFixed(0)} kB of compressed script in ${scripts.size} files`,
  );
  await page.evaluate(() => {
    const times: number[] = [];
    (window as unknown as { times: number[] }).times = times;
    window.addEventListener(
      'keydown',
      (event) => {
        if (event.key !== 'Enter') return;
        const from = event.timeStamp;
        // Two frames: the one that paints the verdict, and proof that it was painted.
        requestAnimationFrame(() => {
          const channel = new MessageChannel();
          channel.port1.onmessage = () => times.push(performance.now() - from);
          channel.port2.postMessage(null);
        });
      },
      true,
    );
  });
  for (let i = 0; i < 40; i++) {
    await page.focus('.typing input');
    await page.keyboard.type(`20.${60 + (i % 30)}`);
    await page.keyboard.press('Enter');
    await new Promise((resolve) => setTimeout(resolve, 60));
  }
  const times = (await page.evaluate(() => (window as unknown as { times: number[] }).times)).sort(
    (a, b) => a - b,
  );
  const at = (share: number) =>
    times[Math.min(times.length - 1, Math.floor(share * times.length))]!.toFixed(1);
  console.log(
    `(b) keystroke to painted verdict: median ${at(0.5)} ms, 95 % ${at(0.95)} ms, worst ${at(1)} ms (${times.length} readings)`,
  );
  await page.goto(`${served.address}/transit/?site=marrowick&entry=mb-tr-1-a&tab=plan`);
  await page.waitForSelector('[aria-label="Cables"]');
  await new Promise((resolve) => setTimeout(resolve, 1500));
  await page.evaluate(() => {
    const longest = { ms: 0 };
    (window as unknown as { longest: { ms: number } }).longest = longest;
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) longest.ms = Math.max(longest.ms, duration);
    }).observe({ type: 'longtask' });
    [...document.querySelectorAll('button')].find((e) => e.textContent === 'Pack it')!.click();
  });
  await page.waitForFunction(() => document.body.textContent!.includes('Take this packing'));
  await new Promise((resolve) => setTimeout(resolve, 500));
  const task = await page.evaluate(() => (window as unknown as { longest: { ms: number } }).longest.ms);
  console.log(
    `(f) longest task of the page while the worker packs: ${task > 0 ? `${task.toFixed(0)} ms` : 'none over 50 ms'}`,
  );
  await close();
  await served.stop();
}

/** Judging, ranking and the interface on the demo. */
async function product(): Promise<void> {
  const app = openApp(folder(), 'src/store/migrations', clockFrom(undefined));
  seedDemo(app);
  judgements(app);
  ranking(app);
  await packing();
  walks();
  await keystroke();
  closeApp(app);
}

/** Benchmarks by name; `kills`, `load`, `fuzz` and `scale` run only when they are asked for. */
const BENCHES: Record<string, () => void | Promise<void>> = {
  product,
  writing,
  paint,
  load,
  kills,
  fuzz,
  scale,
  walks,
};

const named = process.argv.slice(2);
for (const name of named.length > 0 ? named : ['product', 'writing']) {
  const bench = BENCHES[name];
  if (!bench)
    throw new Error(`There is no benchmark "${name}". There are: ${Object.keys(BENCHES).join(', ')}.`);
  await bench();
}
