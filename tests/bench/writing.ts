import Database from 'better-sqlite3';
import { copyFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ulid } from 'ulid';
import { seedDemo } from '../../demo/seed';
import { placeOf } from '../../src/core/kinds/kinds';
import type { Snapshot } from '../../src/core/commands/news';
import type { AnyCommand } from '../../src/core/commands/commands';
import { closeApp, openApp, type App } from '../../src/server/app/app';
import { clockFrom } from '../../src/server/base/clock';
import { acceptCommands } from '../../src/server/commands/accept';
import { SITE_DB, type SiteStore } from '../../src/store/site-store';

/** How requests are shaped: commands in one, and the entries that they belong to. */
const SHAPES = [
  { commands: 1, entries: 21, requests: 2000, least: 'a third' },
  { commands: 50, entries: 5, requests: 60, least: 'a fifth' },
  { commands: 50, entries: 50, requests: 60, least: 'an eighth' },
];

/** A row as a command has written it. */
interface Row {
  table: string;
  id: string;
  body: string;
}

const folder = () => mkdtempSync(join(tmpdir(), 'yendral-bench-'));

/**
 * (c) Commands on the server, against raw inserts, with the same settings, of exactly the rows that they wrote: into a
 * copy of the same database, with its indexes and references.
 */
export function writing(): void {
  const app = openApp(folder(), 'src/store/migrations', clockFrom(undefined));
  seedDemo(app);
  const store = app.sites.get('proving-ground')!;
  const { records } = store;
  const open = openEntries({ entry: records.all('entry'), round: records.all('round'), inspection: records.all('inspection') }).slice(0, 50); // prettier-ignore
  const caliper = store.records.all('instrument').find(({ kind }) => kind === 'caliper')!.id;
  for (const shape of SHAPES) measure(app, store, shape, open.slice(0, shape.entries), caliper);
  closeApp(app);
}

/** Where a reading can be taken: an entry with an outer sheath, in a round that is still open for it. */
export interface Open {
  entry: string;
  round: string;
}

/** Entries of a site that readings can be taken at. */
export function openEntries({
  entry,
  round,
  inspection,
}: Pick<Snapshot['records'], 'entry' | 'round' | 'inspection'>): Open[] {
  // prettier-ignore
  const sealed = new Set(inspection.map((one) => `${one.entry} ${one.round}`));
  return entry.flatMap(({ id, kind }) => {
    const own = round
      .filter(({ entries, closed }) => closed === null && entries.includes(id))
      .sort((x, y) => (x.started < y.started ? 1 : -1))[0];
    return own && placeOf(kind, 'outer-sheath') && !sealed.has(`${id} ${own.id}`) ? [{ entry: id, round: own.id }] : []; // prettier-ignore
  });
}

/** Commands that are given before anything is measured. */
const WARM = 500;
const WHO = { id: 'bench', name: 'bench' };
const now = () => new Date().toISOString();

function measure(
  app: App,
  store: SiteStore,
  shape: (typeof SHAPES)[number],
  open: Open[],
  caliper: string,
): void {
  // prettier-ignore
  let n = 0;
  const command = (): AnyCommand => ({
    id: ulid(), kind: 'reading.take', site: store.id, at: now(),
    payload: { id: ulid(), ...open[n++ % open.length]!, place: 'outer-sheath', value: 20.7, typed: '20.7', method: 'caliper', instrument: caliper, source: 'typed' },
  }); // prettier-ignore
  // As it runs all day: compiled, its records read.
  for (let i = 0; i < WARM; i++) acceptCommands(app, [command()], WHO);
  app.refresher.finish();
  const requests = Array.from({ length: shape.requests }, () =>
    Array.from({ length: shape.commands }, command),
  );
  const own = folder();
  store.db.pragma('wal_checkpoint(TRUNCATE)');
  copyFileSync(join(store.folder, SITE_DB), join(own, SITE_DB));
  const before = store.journal.head().seq;
  let start = performance.now();
  let applied = 0;
  for (const request of requests)
    applied += acceptCommands(app, request, WHO).filter(({ status }) => status === 'applied').length;
  // What it touched is judged again beside it, and counts as well.
  app.refresher.finish();
  const ours = performance.now() - start;
  const all = shape.requests * shape.commands;
  if (applied !== all) throw new Error(`${all - applied} of ${all} commands were refused.`);
  const written = rowsOf(store, requests);
  const lines = [...store.journal.lines(before + 1)];
  const raw = new Database(join(own, SITE_DB));
  raw.pragma('journal_mode = WAL');
  raw.pragma('synchronous = FULL');
  raw.pragma('foreign_keys = ON');
  const line = raw.prepare('INSERT INTO journal VALUES (@seq, @id, @received_at, @person, @command, @sent, @prev, @hash)'); // prettier-ignore
  const put = Object.fromEntries(
    ['reading', 'change'].map((table) => [table, raw.prepare(`INSERT INTO ${table} (id, body) VALUES (?, ?)`)]),
  ); // prettier-ignore
  const status = raw.prepare(
    'INSERT INTO entry_status (entry, body) VALUES (?, ?) ON CONFLICT (entry) DO UPDATE SET body = excluded.body',
  );
  const write = raw.transaction((i: number) => {
    for (const { table, id, body } of written[i]!) {
      if (table === 'entry_status') status.run(id, body);
      else put[table]!.run(id, body);
    }
    for (const one of lines.slice(i * shape.commands, (i + 1) * shape.commands)) line.run(one);
  });
  start = performance.now();
  for (let i = 0; i < requests.length; i++) write.immediate(i);
  const theirs = performance.now() - start;
  raw.close();
  const rate = (ms: number) => Math.round((all * 1000) / ms).toLocaleString('en');
  console.log(
    `(c) ${shape.commands} commands per request, to ${open.length} entries: ${rate(ours)}/s; raw inserts of the same rows ${rate(theirs)}/s; share ${(theirs / ours).toFixed(2)} (at least ${shape.least})`,
  );
}

/** What each request has written besides its lines; of a status its newest text, which is as long as each before it. */
function rowsOf(store: SiteStore, requests: readonly AnyCommand[][]): Row[][] {
  const body = (table: string, key: string, id: string) =>
    store.db.prepare(`SELECT body FROM ${table} WHERE ${key} = ?`).pluck().get(id) as string;
  return requests.map((commands) => {
    const rows: Row[] = [];
    const touched = new Set<string>();
    for (const { id, payload } of commands) {
      const { id: reading, entry } = payload as { id: string; entry: string };
      rows.push({ table: 'reading', id: reading, body: body('reading', 'id', reading) });
      rows.push({ table: 'change', id, body: body('change', 'id', id) });
      touched.add(entry);
    }
    for (const entry of touched)
      rows.push({ table: 'entry_status', id: entry, body: body('entry_status', 'entry', entry) });
    return rows;
  });
}
