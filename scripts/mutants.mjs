// Every mutant of a sound entry, not only the part that the tests take.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensurePackages, ROOT } from './ensure.mjs';

ensurePackages();
const { status } = spawnSync(join(ROOT, 'node_modules', '.bin', 'vitest'), ['run', '--project', 'mutants'], {
  cwd: ROOT,
  stdio: 'inherit',
  env: { ...process.env, YENDRAL_MUTANTS: 'all' },
});
process.exit(status ?? 1);
