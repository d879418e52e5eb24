// Builds the pages with Astro and bundles the server and the command-line tools with esbuild.
import { createHash } from 'node:crypto';
import { cpSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { build as bundle } from 'esbuild';
import { withPreloads } from './first-load.mjs';

const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
const DIST = join(ROOT, 'dist');
process.chdir(ROOT);

async function buildCli() {
  const entryPoints = readdirSync('src/cli')
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
    .map((name) => join('src/cli', name));
  await bundle({
    entryPoints,
    outdir: join(DIST, 'cli'),
    bundle: true,
    splitting: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    sourcemap: true,
    outExtension: { '.js': '.mjs' },
    logLevel: 'warning',
  });
  mkdirSync(join(DIST, 'migrations'), { recursive: true });
  cpSync('src/store/migrations', join(DIST, 'migrations'), { recursive: true });
  writeFileSync(join(DIST, 'cli', 'built'), '');
}

async function buildPages() {
  process.env.ASTRO_TELEMETRY_DISABLED = '1';
  const { build } = await import('astro');
  await build({ root: ROOT, logLevel: 'warn' });
  const client = join(DIST, 'client');
  for (const file of htmlFiles(client)) writeFileSync(file, withPreloads(client, readFileSync(file, 'utf8')));
  writeFileSync(join(DIST, 'csp.txt'), policy(client));
  compressed(client);
}

/** What is sent often is compressed once, as small as it goes, beside the file itself. */
function compressed(client) {
  for (const file of filesIn(client)) {
    if (!/\.(html|js|css|svg)$/.test(file)) continue;
    const bytes = readFileSync(file);
    writeFileSync(`${file}.br`, brotliCompressSync(bytes));
    writeFileSync(`${file}.gz`, gzipSync(bytes, { level: 9 }));
  }
}

/** Content security policy: own scripts, and by their hashes the inline ones that Astro makes. */
function policy(client) {
  const hashes = new Set();
  for (const file of htmlFiles(client)) {
    for (const [, attributes, script] of readFileSync(file, 'utf8').matchAll(
      /<script([^>]*)>([\s\S]*?)<\/script>/g,
    )) {
      if (/\bsrc=/.test(attributes) || script === '') continue;
      hashes.add(`'sha256-${createHash('sha256').update(script).digest('base64')}'`);
    }
  }
  return [
    "default-src 'self'",
    `script-src 'self' 'wasm-unsafe-eval' ${[...hashes].sort().join(' ')}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "manifest-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

const htmlFiles = (folder) => filesIn(folder).filter((file) => file.endsWith('.html'));

function filesIn(folder) {
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map(({ parentPath, name }) => join(parentPath, name));
}

const cliOnly = process.argv.includes('--cli');
if (!cliOnly) rmSync(DIST, { recursive: true, force: true });
if (!cliOnly) await buildPages();
await buildCli();
if (!cliOnly) writeFileSync(join(DIST, 'built'), '');
