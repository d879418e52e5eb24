// Measures speed; prints figures, asserts nothing.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuild, ensureChromium, ensurePackages, ROOT } from './ensure.mjs';

ensurePackages();
ensureChromium();
ensureBuild();
const { buildSync } = await import('esbuild');
// Bundled as the product is: a loader that wraps every function would be measured instead.
buildSync({
  entryPoints: [join(ROOT, 'tests', 'bench', 'bench.ts')],
  outfile: join(ROOT, 'dist', 'bench.mjs'),
  bundle: true,
  platform: 'node',
  format: 'esm',
  packages: 'external',
});
process.exit(
  spawnSync(process.execPath, ['dist/bench.mjs', ...process.argv.slice(2)], { cwd: ROOT, stdio: 'inherit' })
    .status ?? 1,
);
