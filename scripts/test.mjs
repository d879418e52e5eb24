// The one command of the tests: installs what is missing, builds, and runs every suite.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuild, ensureChromium, ensurePackages, ROOT } from './ensure.mjs';

ensurePackages();
ensureChromium();
ensureBuild();

const bin = (name) => join(ROOT, 'node_modules', '.bin', name);
const folder = mkdtempSync(join(tmpdir(), 'yendral-test-'));
let passed = 0;
let failed = 0;

function step(title, command, args) {
  console.log(`\n• ${title}`);
  const { status } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit' });
  return status === 0;
}

function whole(title, command, args) {
  if (step(title, command, args)) passed++;
  else failed++;
}

function suite(project) {
  const file = join(folder, `${project}.json`);
  const args = [
    'run',
    '--project',
    project,
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${file}`,
  ];
  const ok = step(`Tests: ${project}`, bin('vitest'), args);
  try {
    const { numPassedTests, numFailedTests, testResults } = JSON.parse(readFileSync(file, 'utf8'));
    const broken = testResults.filter(
      ({ status, assertionResults }) => status === 'failed' && assertionResults.length === 0,
    );
    passed += numPassedTests;
    failed += numFailedTests + broken.length;
    if (!ok && numFailedTests + broken.length === 0) failed++;
  } catch {
    failed++;
  }
}

whole('Types', bin('tsc'), ['--noEmit']);
whole('Linter', bin('eslint'), ['.', '--max-warnings', '0']);
whole('Format', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
whole('Nothing unused', bin('knip'), ['--no-progress']);
suite('unit');
suite('mutants');
suite('server');
suite('browser');

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
