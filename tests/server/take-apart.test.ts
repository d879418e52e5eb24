import Database from 'better-sqlite3';
import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'; // prettier-ignore
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { MARROWICK } from '../../demo/marrowick';
import { PROVING_GROUND } from '../../demo/proving';
import { scriptOf } from '../../demo/seed';
import { TABLES } from '../../src/core/record/tables';
import { closeApp, openApp, type App } from '../../src/server/app/app';
import { listedSites } from '../../src/server/base/site-list';
import { clockFrom } from '../../src/server/base/clock';
import { acceptCommands } from '../../src/server/commands/accept';
import { hashOf, START } from '../../src/store/journal';
import { hashOfRecords } from '../../src/store/records-hash';
import type { SiteStore } from '../../src/store/site-store';

const MIGRATIONS = 'src/store/migrations';
const NOW = '2026-03-04T10:00:00Z';
const SITES = ['proving-ground', 'oxgate'];
const NUMBERS = readdirSync(join(MIGRATIONS, 'whole')).sort();

/** A source of filled records: the ground where every kind of entry and of record stands, twice. */
let source: App;
beforeAll(() => {
  source = openApp(mkdtempSync(join(tmpdir(), 'yendral-source-')), MIGRATIONS, clockFrom(NOW));
  const { commands } = scriptOf(PROVING_GROUND, new Date(NOW));
  for (const site of SITES) {
    const own = commands.map(({ command }) => {
      const one = JSON.parse(ofSite(JSON.stringify(command), site)) as {
        kind: string;
        payload: { name?: string };
      };
      return one.kind === 'site.add' ? { ...one, payload: { ...one.payload, name: site } } : one;
    });
    for (let i = 0; i < own.length; i += 200)
      for (const answer of acceptCommands(source, own.slice(i, i + 200), { id: 'p', name: 'P' }))
        if (answer.status !== 'applied') throw new Error(JSON.stringify(answer));
    acceptCommands(source, [{ id: `ref-${site}`, kind: 'reference.add', site, at: NOW, payload: { id: `refs-${site}`, name: 'Ours', of: MARROWICK.site.references, texts: {} } }], { id: 'p', name: 'P' }); // prettier-ignore
  }
}, 300_000);
afterAll(() => closeApp(source));

/** The same ground once more: ids were the whole database's own then. */
const ofSite = (text: string, site: string) => site === 'oxgate' ? text.replaceAll('proving-ground', site).replaceAll('pg-', 'ox-').replaceAll('"id":"0', '"id":"x0') : text; // prettier-ignore

/** Fills a database of the earlier layout, at one of its numbers, with rows in every table that it has. */
function wholeAt(number: number): string {
  const folder = mkdtempSync(join(tmpdir(), 'yendral-whole-'));
  const db = new Database(join(folder, 'yendral.db'));
  db.pragma('journal_mode = WAL');
  for (const name of NUMBERS.slice(0, number)) db.exec(readFileSync(join(MIGRATIONS, 'whole', name), 'utf8'));
  db.pragma(`user_version = ${number}`);
  db.pragma('foreign_keys = OFF');
  const has = new Set(db.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").pluck().all());
  db.prepare('INSERT INTO person VALUES (?, ?, ?)').run('p1', 'A. Vell', NOW);
  db.prepare('INSERT INTO setting VALUES (?, ?)').run('session-secret', 'secret');
  let head = { seq: 0, hash: START };
  for (const site of SITES) {
    const store = source.sites.get(site)!;
    for (const table of TABLES.filter((one) => has.has(one)))
      for (const { id, body } of bodiesOf(store, table)) db.prepare(`INSERT OR REPLACE INTO ${table} (id, body) VALUES (?, ?)`).run(id, body); // prettier-ignore
    for (const line of store.journal.after(0, 40)) {
      const own = { ...line, id: `${site}-${line.id}`, seq: head.seq + 1, prev: head.hash };
      head = { seq: own.seq, hash: hashOf(own) };
      db.prepare('INSERT INTO journal VALUES (@seq, @id, @site, @received_at, @person, @command, @sent, @prev, @hash)').run({ ...own, site, hash: head.hash }); // prettier-ignore
    }
    db.prepare('INSERT INTO entry_status VALUES (?, ?, ?)').run(`st-${site}`, site, '{}');
  }
  mkdirSync(join(folder, 'photos'));
  writeFileSync(join(folder, 'photos', 'ph-1.png'), 'bytes');
  db.prepare('INSERT INTO photo VALUES (?, ?, ?, ?, ?, ?, ?)').run('ph-1', 'image/png', 5, 1, 1, createHash('sha256').update('bytes').digest('hex'), 'x'); // prettier-ignore
  db.close();
  return folder;
}

const bodiesOf = (store: SiteStore, table: string) =>
  store.db.prepare(`SELECT id, body FROM ${table}`).all() as { id: string; body: string }[];

const hashOfFile = (file: string) => createHash('sha256').update(readFileSync(file)).digest('hex');

/** What must hold once a folder was taken apart. */
function expectApart(folder: string, oldHash: string): void {
  const app = openApp(folder, MIGRATIONS, clockFrom(NOW));
  try {
    expect(listedSites(app).map(({ id }) => id)).toEqual(['oxgate', 'proving-ground']);
    expect(app.installation.people.byName('A. Vell')?.id).toBe('p1');
    expect(app.installation.settings.get('session-secret')).toBe('secret');
    const head = new Database(join(folder, 'archive', 'yendral.db'), { readonly: true });
    const last = head.prepare('SELECT hash FROM journal ORDER BY seq DESC LIMIT 1').pluck().get();
    head.close();
    for (const site of SITES) {
      const store = app.sites.get(site)!;
      const { line, seq } = store.journal.lastOwn()!;
      expect(seq).toBe(1);
      expect(line).toMatchObject({
        kind: 'migrated',
        payload: { head: last, records: hashOfRecords(store.db) },
      });
      expect(store.journal.firstBroken()).toBeNull();
      expect(store.db.pragma('foreign_key_check')).toEqual([]);
      expect(store.statuses.countStale()).toBe(store.records.all('entry').length);
      expect(existsSync(join(store.folder, 'photos', 'ph-1.png'))).toBe(true);
    }
    // A command of before is answered, not taken again.
    const journal = app.sites.get('proving-ground')!.journal;
    const [known] = new Database(join(folder, 'archive', 'yendral.db'), { readonly: true }).prepare("SELECT id FROM journal WHERE site = 'proving-ground' LIMIT 1").pluck().all() as string[]; // prettier-ignore
    expect(journal.known([known!, 'other'])).toEqual([known]);
  } finally {
    closeApp(app);
  }
  expect(existsSync(join(folder, 'yendral.db'))).toBe(false);
  expect(hashOfFile(join(folder, 'archive', 'yendral.db'))).toBe(oldHash);
  expect(existsSync(join(folder, 'taking-apart'))).toBe(false);
  expect(existsSync(join(folder, 'archive', 'photos', 'ph-1.png'))).toBe(true);
}

describe('a database of the earlier layout', () => {
  it.each(NUMBERS.map((name, i) => [name, i + 1] as const))(
    'at %s is taken apart, itself unchanged',
    (_name, number) => {
      const folder = wholeAt(number);
      const hash = hashOfFile(join(folder, 'yendral.db'));
      expectApart(folder, hash);
      rmSync(folder, { recursive: true });
    },
  );

  it('is gone on with after a stop at any step', () => {
    const folder = wholeAt(NUMBERS.length);
    const hash = hashOfFile(join(folder, 'yendral.db'));
    // A copy that was taken apart, of which one half is put back as if the work had stopped there.
    const done = mkdtempSync(join(tmpdir(), 'yendral-done-'));
    cpSync(folder, done, { recursive: true });
    closeApp(openApp(done, MIGRATIONS, clockFrom(NOW)));
    const stops: ((into: string) => void)[] = [
      (into) => mkdirSync(join(into, 'taking-apart')),
      (into) => cpSync(join(done, 'sites', 'oxgate'), join(into, 'sites', 'oxgate'), { recursive: true }),
      (into) => {
        cpSync(join(done, 'sites'), join(into, 'sites'), { recursive: true });
        cpSync(join(done, 'installation.db'), join(into, 'installation.db'));
      },
      (into) => {
        cpSync(join(done, 'sites'), join(into, 'sites'), { recursive: true });
        cpSync(join(done, 'installation.db'), join(into, 'installation.db'));
        cpSync(join(done, 'archive', 'yendral.db'), join(into, 'archive', 'yendral.db'), { recursive: true });
        rmSync(join(into, 'yendral.db'));
      },
    ];
    for (const stop of stops) {
      const stopped = mkdtempSync(join(tmpdir(), 'yendral-stopped-'));
      cpSync(folder, stopped, { recursive: true });
      stop(stopped);
      expectApart(stopped, hash);
    }
  });

  it('is left alone when one of its sites cannot be made: nothing is half there', () => {
    const folder = wholeAt(NUMBERS.length);
    const db = new Database(join(folder, 'yendral.db'));
    db.pragma('foreign_keys = OFF');
    db.prepare("DELETE FROM enclosure WHERE site = 'oxgate'").run();
    db.close();
    expect(() => openApp(folder, MIGRATIONS, clockFrom(NOW))).toThrow();
    expect(existsSync(join(folder, 'yendral.db'))).toBe(true);
    expect(existsSync(join(folder, 'sites', 'oxgate'))).toBe(false);
  });
});
