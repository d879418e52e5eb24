// Runs one of the command-line tools, bundling them first when a source is newer.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureCli, ensurePackages, ROOT } from './ensure.mjs';

const [tool, ...args] = process.argv.slice(2);
ensurePackages();
ensureCli();
const { status } = spawnSync(process.execPath, [join(ROOT, 'dist', 'cli', `${tool}.mjs`), ...args], {
  stdio: 'inherit',
});
process.exit(status ?? 1);
