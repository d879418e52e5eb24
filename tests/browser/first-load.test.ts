import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { scriptsOf } from '../../scripts/first-load.mjs';

const CLIENT = join(import.meta.dirname, '../../dist/client');
const html = (page: string) => readFileSync(join(CLIENT, page, 'index.html'), 'utf8');
const scripts = (page: string): string[] => scriptsOf(CLIENT, html(page));
/** What a browser that takes brotli is sent, as it lies on the disk. */
const kB = (page: string) => scripts(page).reduce((sum, file) => sum + statSync(join(CLIENT, `${file}.br`)).size, 0) / 1000; // prettier-ignore

/** Compressed script that a page loads before it shows anything, kB at most. */
const MOST: Record<string, number> = {
  bench: 250, transit: 250, mineral: 250, makeoff: 250,
  dossier: 190, desk: 190,
  // What is mostly read.
  site: 175, defects: 175, clocks: 175, certificates: 175, report: 175,
}; // prettier-ignore

/** What only the reducer writes, and only the judge: both are in what is opened beside the records. */
const [APPLIES, JUDGES] = ['.record.id`', 'running_answered:'] as const;
const opened = (word: string) =>
  readdirSync(join(CLIENT, '_astro')).some(
    (file) => file.endsWith('.js') && readFileSync(join(CLIENT, '_astro', file), 'utf8').includes(word),
  );

describe('the first load of a page', () => {
  it.each(Object.entries(MOST))('%s: at most %d kB of compressed script', (page, most) => {
    console.log(`${page}: ${kB(page).toFixed(1)} kB`);
    expect(kB(page)).toBeLessThanOrEqual(most);
  });

  it('of what is mostly read holds neither the reducer nor the judge', () => {
    expect(opened(APPLIES) && opened(JUDGES)).toBe(true);
    for (const page of ['site', 'defects', 'clocks', 'certificates', 'report']) {
      const all = scripts(page).map((file) => readFileSync(join(CLIENT, file), 'utf8'));
      for (const word of [APPLIES, JUDGES])
        expect(
          all.some((text) => text.includes(word)),
          `${page}: ${word}`,
        ).toBe(false);
    }
  });

  it('holds no chart, no packing planner, no palette, no message', () => {
    for (const page of Object.keys(MOST)) {
      const all = scripts(page).map((file) => readFileSync(join(CLIENT, file), 'utf8'));
      for (const word of ['LogarithmicScale', 'spotlight-', 'Highs', '-Notifications-root'])
        expect(
          all.some((text) => text.includes(word)),
          `${page}: ${word}`,
        ).toBe(false);
    }
  });

  it('names its scripts in the head', () => {
    for (const page of Object.keys(MOST)) {
      const named = [...html(page).matchAll(/<link rel="modulepreload" href="([^"]+)">/g)].map(
        ([, file]) => file,
      );
      expect(named.sort(), page).toEqual(scripts(page));
    }
  });
});
