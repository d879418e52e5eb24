import * as fontkit from 'fontkit';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';

/** Tables of letters that are read, never shown: what looks like another letter, and what people type. */
const ONLY_READ = ['src/shapes/letters.ts'];
/** Typed by people as the sign of micro; shown as they typed it. */
const TYPED = new Set(['µ']);

function filesIn(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((one) => {
    const path = join(folder, one.name);
    if (one.isDirectory()) return filesIn(path);
    return /\.(tsx?|astro|css)$/.test(one.name) && !one.name.includes('.test.') ? [path] : [];
  });
}

/** Characters beyond the plain ones that a file says, comments left out. */
function charactersOf(path: string): string[] {
  const text = readFileSync(path, 'utf8')
    .replace(/\/\*[\s\S]*?\*\//g, '')
    .replace(/(^|\s)\/\/.*$/gm, '');
  return [...text].filter((one) => one.codePointAt(0)! > 126);
}

const face = (path: string) => fontkit.create(readFileSync(path)) as fontkit.Font;
const atkinson = (family: string, weight: number) =>
  face(`node_modules/@fontsource/${family}/files/${family}-latin-${weight}-normal.woff2`);
const TEXT = ['atkinson-hyperlegible-next', 'atkinson-hyperlegible-mono'].flatMap((family) => [
  atkinson(family, 400),
  atkinson(family, 700),
]);
const SIGNS = face('src/ui/fonts/signs.woff2');
const rule = readFileSync('src/ui/fonts/signs.css', 'utf8');

it('every character of words, views and drawings is in a face that is shipped', () => {
  const said = ['src', 'demo'].flatMap(filesIn).filter((path) => !ONLY_READ.includes(path));
  const lacking = said.flatMap((path) =>
    charactersOf(path)
      .filter((one) => !TYPED.has(one))
      .filter((one) => {
        const code = one.codePointAt(0)!;
        const inText = TEXT.every((of) => of.hasGlyphForCodePoint(code));
        const asked = rule.includes(`U+${code.toString(16).toUpperCase().padStart(4, '0')}`);
        return !inText && !(asked && SIGNS.hasGlyphForCodePoint(code));
      })
      .map((one) => `${one} in ${path}`),
  );
  expect([...new Set(lacking)]).toEqual([]);
});

it('the second face holds signs only, and is small', () => {
  expect(SIGNS.hasGlyphForCodePoint('A'.codePointAt(0)!)).toBe(false);
  expect(readFileSync('src/ui/fonts/signs.woff2').length).toBeLessThan(10_000);
});
