import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { scriptsOf } from '../../scripts/first-load.mjs';

const CLIENT = join(import.meta.dirname, '../../dist/client');
const html = (page: string) => readFileSync(join(CLIENT, page, 'index.html'), 'utf8');
const scripts = (page: string): string[] => scriptsOf(CLIENT, html(page));
const kB = (page: string) =>
  scripts(page).reduce((sum, file) => sum + gzipSync(readFileSync(join(CLIENT, file)), { level: 9 }).length, 0) / 1000; // prettier-ignore

/** Compressed script that a page loads before it shows anything, kB at most. */
const MOST: Record<string, number> = {
  bench: 285, transit: 300, mineral: 285, makeoff: 295, site: 290, defects: 275, clocks: 245, report: 240, dossier: 325,
  certificates: 275, desk: 265,
}; // prettier-ignore

describe('the first load of a page', () => {
  it.each(Object.entries(MOST))('%s: at most %d kB of compressed script', (page, most) => {
    console.log(`${page}: ${kB(page).toFixed(1)} kB`);
    expect(kB(page)).toBeLessThanOrEqual(most);
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
