import { ESLint } from 'eslint';
import tseslint from 'typescript-eslint';
import { describe, expect, it } from 'vitest';

// A planted file is none of the project, so that nothing is known of its types.
const untyped = new ESLint({ overrideConfig: tseslint.configs.disableTypeChecked as never });
const typed = new ESLint();

/** Lints a text as if it stood in a file of the house. */
async function faults(file: string, text: string, linter = untyped): Promise<string[]> {
  const [result] = await linter.lintText(text, { filePath: file });
  return result!.messages.map(({ ruleId }) => ruleId ?? '');
}

/** One import per room that points the wrong way. */
const FORBIDDEN: [file: string, from: string][] = [
  ['src/core/quantity/planted.ts', '../../store/site-store'],
  ['src/core/quantity/planted.ts', '../measuring/fit'],
  ['src/core/instrument/planted.ts', '../record/slice'],
  ['src/core/record/planted.ts', '../kinds/kinds'],
  ['src/core/kinds/planted.ts', '../rulebook/judge'],
  ['src/core/rulebook/planted.ts', '../commands/draft'],
  ['src/core/commands/planted.ts', '../words/en/findings'],
  ['src/core/finder/planted.ts', '../makeoff/plan'],
  ['src/core/words/planted.ts', '../doors/fit'],
  ['src/store/planted.ts', '../server/app/app'],
  ['src/server/main/planted.ts', '../../views/bench/Bench'],
  ['src/server/base/planted.ts', '../commands/accept'],
  ['src/server/commands/planted.ts', '../writing/writer'],
  ['src/server/files/planted.ts', '../http/endpoint'],
  ['src/server/app/planted.ts', '../http/server'],
  ['src/drawing/planted.ts', '../ui/theme'],
  ['src/ui/planted.ts', '../views/bench/Bench'],
  ['src/client/planted.ts', '../device/device'],
  ['src/device/planted.ts', '../views/bench/Bench'],
  ['src/shapes/planted.ts', '../server/app/app'],
  ['src/workers/planted.ts', '../views/bench/Bench'],
  ['src/views/hand/planted.ts', '../../server/app/app'],
  ['src/views/hand/planted.ts', '../judging/LookCard'],
  ['src/views/defects/planted.ts', '../bench/Bench'],
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
    expect(await faults('src/core/quantity/planted.ts', text)).toContain('no-restricted-imports');
  });

  it('an import in the right direction is no fault', async () => {
    const text = "import { fit } from '../core/measuring/fit';\nexport { fit };\n";
    expect(await faults('src/store/planted.ts', text)).toEqual([]);
  });

  it('SQL stays in the store', async () => {
    const text = "export const rows = (db: { prepare(sql: string): unknown }) => db.prepare('SELECT 1');\n";
    expect(await faults('src/server/base/planted.ts', text)).toContain('no-restricted-syntax');
    expect(await faults('src/store/planted.ts', text)).toEqual([]);
  });
});

describe('what the linter holds besides', () => {
  it('no promise is left floating, and no switch misses a case', async () => {
    const text = `
      export function planted(way: 'in' | 'out'): number {
        Promise.resolve(1);
        switch (way) {
          case 'in':
            return 1;
        }
        return 2;
      }`;
    expect(await faults('src/client/clock.ts', text, typed)).toEqual(
      expect.arrayContaining([
        '@typescript-eslint/no-floating-promises',
        '@typescript-eslint/switch-exhaustiveness-check',
      ]),
    );
  });

  it('a function of more than 60 lines and a file of more than 350 are too long', async () => {
    const long = `export function planted(): void {\n${'  void 0;\n'.repeat(60)}}\n`;
    expect(await faults('src/core/quantity/planted.ts', long)).toContain('max-lines-per-function');
    expect(await faults('src/core/quantity/planted.ts', '// a line\n'.repeat(351))).toContain('max-lines');
  });

  it('what can be clicked is something that keys reach', async () => {
    const text = 'export const Planted = () => <div onClick={() => undefined}>open</div>;\n';
    expect(await faults('src/ui/Planted.tsx', text)).toContain('jsx-a11y/click-events-have-key-events');
  });
});
