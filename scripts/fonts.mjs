// Makes the second face again: the few signs that the text faces lack, out of Noto Sans Math (SIL Open Font License).
import { copyFileSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import subset from 'subset-font';
import { ROOT } from './ensure.mjs';

/** Signs of the words and views that neither text face has; the same stand in src/ui/fonts/signs.css. */
const SIGNS = 'Ωμπ Δ″←↑→↓√≠≤≥∞✓'.replace(' ', '');

const from = join(ROOT, 'node_modules', '@fontsource', 'noto-sans-math');
const to = join(ROOT, 'src', 'ui', 'fonts');
const whole = readFileSync(join(from, 'files', 'noto-sans-math-latin-400-normal.woff2'));
writeFileSync(join(to, 'signs.woff2'), await subset(whole, SIGNS, { targetFormat: 'woff2' }));
copyFileSync(join(from, 'LICENSE'), join(to, 'LICENSE'));
const range = [...SIGNS]
  .map((sign) => `U+${sign.codePointAt(0).toString(16).toUpperCase().padStart(4, '0')}`)
  .sort();
writeFileSync(
  join(to, 'signs.css'),
  `/* Made by scripts/fonts.mjs. */
@font-face {
  font-family: 'Yendral Signs';
  font-style: normal;
  font-display: swap;
  font-weight: 400 700;
  src: url('./signs.woff2') format('woff2');
  unicode-range: ${range.join(', ')};
}
`,
);
