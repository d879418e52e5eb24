// Sets up what a fresh machine lacks. No dependencies: this runs before they are installed.
import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));

// On standard error: standard output may belong to a tool that is run next.
const say = (text) => console.error(`• ${text}`);
const hashOf = (file) =>
  createHash('sha256')
    .update(readFileSync(join(ROOT, file)))
    .digest('hex');

function need(command, args, what) {
  const { status, error } = spawnSync(command, args, { cwd: ROOT, stdio: ['ignore', 2, 2] });
  if (status === 0) return;
  console.error(`${what} failed${error ? ` (${error.message})` : ''}. See the lines above.`);
  process.exit(1);
}

/** npm packages, by the lock file; again when the lock file has changed. */
export function ensurePackages() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    console.error(`Node.js 20.19 or newer is needed, this is ${process.versions.node}.`);
    process.exit(1);
  }
  const mark = join(ROOT, 'node_modules', '.yendral-lock');
  const wanted = hashOf('package-lock.json');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted) return;
  say('Installing npm packages (the database driver is compiled; about four minutes) …');
  need('npm', ['ci', '--include=dev', '--no-audit', '--no-fund'], 'npm ci');
  writeFileSync(mark, wanted);
}

/** Debian's Chromium, for the browser tests. */
export function ensureChromium() {
  if (existsSync('/usr/bin/chromium')) return;
  say('Installing Debian’s Chromium for the browser tests …');
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => {
    const [command, ...rest] = [...sudo, 'apt-get', ...args];
    need(command, rest, `apt-get ${args[0]}`);
  };
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', 'chromium');
}

const SOURCES = [
  'src',
  'demo',
  'public',
  'docs/schemas',
  'astro.config.mjs',
  'scripts/build.mjs',
  'package-lock.json',
];

/** The build, again when a source is newer than it. */
export function ensureBuild() {
  const built = join(ROOT, 'dist', 'built');
  if (existsSync(built)) {
    const since = statSync(built).mtimeMs;
    if (SOURCES.every((source) => newest(join(ROOT, source)) <= since)) return;
  }
  say('Building the application …');
  need(process.execPath, [join(ROOT, 'scripts', 'build.mjs')], 'The build');
}

/** The command-line tools alone, which need no pages. */
export function ensureCli() {
  const built = join(ROOT, 'dist', 'cli', 'built');
  if (existsSync(built)) {
    const since = statSync(built).mtimeMs;
    const sources = [
      'src/core',
      'src/store',
      'src/server',
      'src/cli',
      'demo',
      'docs/schemas',
      'package-lock.json',
    ];
    if (sources.every((source) => newest(join(ROOT, source)) <= since)) return;
  }
  // Standard output belongs to the tool.
  execFileSync(process.execPath, [join(ROOT, 'scripts', 'build.mjs'), '--cli'], { stdio: ['ignore', 2, 2] });
}

function newest(path) {
  if (!existsSync(path)) return 0;
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return readdirSync(path).reduce((most, name) => Math.max(most, newest(join(path, name))), 0);
}
