// Draws docs/screenshots again from the demo data.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuild, ensureChromium, ensurePackages, ROOT } from './ensure.mjs';

ensurePackages();
ensureChromium();
ensureBuild();
const tsx = join(ROOT, 'node_modules', '.bin', 'tsx');
process.exit(
  spawnSync(tsx, [join(ROOT, 'tests', 'browser', 'screenshots.ts')], { cwd: ROOT, stdio: 'inherit' })
    .status ?? 1,
);
