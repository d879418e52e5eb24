import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { generate } from '../../demo/generate/generate';
import type { Wanted } from '../../demo/generate/plant';
import { closeApp, openApp } from '../server/app/app';
import { run } from '../server/main/main';

/** The day on which a generated plant is looked at, unless another is named: the same plant on any day. */
const USUAL_DAY = '2026-11-02T09:00:00.000Z';

const USAGE =
  'Usage: npm run --silent generate -- --data FOLDER [--entries 50000] [--readings 4] [--seed 7] [--day 2026-11-02]';

/** A whole number of an argument. */
function numberOf(text: string, least: number, most: number, name: string): number {
  const number = Number(text);
  if (Number.isInteger(number) && number >= least && number <= most) return number;
  throw new Error(`--${name} is a whole number from ${least} to ${most}. ${USAGE}`);
}

const here = dirname(fileURLToPath(import.meta.url));
/** What the program is: another one may generate otherwise. */
const version = (): string =>
  createHash('sha256')
    .update(readFileSync(fileURLToPath(import.meta.url)))
    .digest('hex')
    .slice(0, 16);

/** `generate`: a plant of any size in a data folder; its counts on standard output, as JSON. */
/** File that says what a folder was filled with. */
const KEPT = 'generated.json';

void run(async () => {
  const { values } = parseArgs({
    options: {
      data: { type: 'string' },
      entries: { type: 'string', default: '50000' },
      readings: { type: 'string', default: '4' },
      seed: { type: 'string', default: '7' },
      day: { type: 'string', default: USUAL_DAY },
    },
  });
  if (!values.data) throw new Error(`--data names the folder to fill. ${USAGE}`);
  const day = new Date(values.day);
  if (Number.isNaN(day.getTime())) throw new Error(`--day is a day such as 2026-11-02. ${USAGE}`);
  const wanted: Wanted = {
    entries: numberOf(values.entries, 1, 200_000, 'entries'),
    readings: numberOf(values.readings, 0, 20, 'readings'),
    seed: numberOf(values.seed, 0, 1_000_000, 'seed'),
  };
  const folder = resolve(values.data);
  const key = JSON.stringify({ ...wanted, day: day.toISOString(), version: version() });
  const kept = readKept(folder);
  if (kept?.key === key) return console.log(JSON.stringify(kept.counts));
  if (kept) rmSync(folder, { recursive: true });
  else if (existsSync(join(folder, 'installation.db')))
    throw new Error(`${folder} holds other data. Name an empty folder in --data.`);
  mkdirSync(folder, { recursive: true });
  // Begun: what is cut short is made anew.
  writeFileSync(join(folder, KEPT), JSON.stringify({ key: '', counts: null }));
  const app = openApp(folder, join(dirname(here), 'migrations'), () => day);
  const counts = generate(app, wanted, (words) => console.error(words));
  closeApp(app);
  writeFileSync(join(folder, KEPT), JSON.stringify({ key, counts }));
  console.log(JSON.stringify(counts));
  await Promise.resolve();
});

/** What was generated into a folder; null where nothing was. */
function readKept(folder: string): { key: string; counts: unknown } | null {
  const file = join(folder, KEPT);
  return existsSync(file)
    ? (JSON.parse(readFileSync(file, 'utf8')) as { key: string; counts: unknown })
    : null;
}
