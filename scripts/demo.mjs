// The one command of the demo: installs what is missing, builds, seeds an empty database, serves.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuild, ensurePackages, ROOT } from './ensure.mjs';

ensurePackages();
ensureBuild();
const server = spawn(process.execPath, [join(ROOT, 'dist', 'cli', 'demo.mjs'), ...process.argv.slice(2)], {
  cwd: ROOT,
  stdio: 'inherit',
});
for (const signal of ['SIGTERM', 'SIGINT']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 1));
