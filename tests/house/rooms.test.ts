import { ESLint } from 'eslint';
import { describe, expect, it } from 'vitest';

/** Lints a text as if it stood in a file of the house. */
async function faults(file: string, text: string): Promise<string[]> {
  const [result] = await new ESLint().lintText(text, { filePath: file });
  return result!.messages.map(({ ruleId }) => ruleId ?? '');
}

/** One import per room that points the wrong way. */
const FORBIDDEN: [file: string, from: string][] = [
  ['src/core/planted.ts', '../store/site-store'],
  ['src/store/planted.ts', '../server/app'],
  ['src/server/planted.ts', '../views/bench/Bench'],
  ['src/drawing/planted.ts', '../ui/theme'],
  ['src/ui/planted.ts', '../views/bench/Bench'],
  ['src/client/planted.ts', '../device/device'],
  ['src/device/planted.ts', '../views/bench/Bench'],
  ['src/shapes/planted.ts', '../server/app'],
  ['src/workers/planted.ts', '../views/bench/Bench'],
  ['src/views/planted.ts', '../server/app'],
  ['src/pages/planted.ts', '../store/site-store'],
  ['src/cli/planted.ts', '../store/site-store'],
  ['demo/planted.ts', '../src/store/site-store'],
];

describe('imports go one way', () => {
  it.each(FORBIDDEN)('%s may not import %s', async (file, from) => {
    expect(await faults(file, `import * as planted from '${from}';\nexport { planted };\n`)).toContain(
      'boundaries/dependencies',
    );
  });

  it.each(['react', 'node:fs', 'better-sqlite3'])('the core may not import %s', async (name) => {
    const text = `import * as planted from '${name}';\nexport { planted };\n`;
    expect(await faults('src/core/planted.ts', text)).toContain('no-restricted-imports');
  });

  it('an import in the right direction is no fault', async () => {
    const text = "import { fit } from '../core/measuring/fit';\nexport { fit };\n";
    expect(await faults('src/store/planted.ts', text)).toEqual([]);
  });

  it('SQL stays in the store', async () => {
    const text = "export const rows = (db: { prepare(sql: string): unknown }) => db.prepare('SELECT 1');\n";
    expect(await faults('src/server/planted.ts', text)).toContain('no-restricted-syntax');
    expect(await faults('src/store/planted.ts', text)).toEqual([]);
  });
});
