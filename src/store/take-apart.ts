import { randomBytes } from 'node:crypto';
import { copyFileSync, existsSync, linkSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { completed } from '../core/record/completed';
import { TABLES } from '../core/record/tables';
import type { Id, Photo, TableName, Tables } from '../core/record/types';
import { RECORDS_VERSION } from '../core/record/version';
import { Installation, INSTALLATION_DB } from './installation';
import { openDatabase, type Db } from './open';
import { photoFile } from './photos';
import { hashOfRecords } from './records-hash';
import { SiteStore } from './site-store';

/** The one database of the earlier layout, and what SQLite keeps beside it. */
export const WHOLE_DB = 'yendral.db';
const BESIDE = ['', '-wal', '-shm'];
/** Where the earlier database and its photos are kept, unchanged. */
export const ARCHIVE = 'archive';
/** Where a copy is worked on; thrown away when something stopped half-way. */
const WORK = 'taking-apart';

/**
 * Takes a database of the earlier layout, which held every site, apart into a file per site. The old file is only
 * read, and kept under `archive/`. Every step is whole or not there, so that a stop at any moment is gone on from.
 *
 * @param migrations folder of the folders of numbered `.sql` files
 */
export function takeApart(folder: string, migrations: string, at: string): void {
  if (!existsSync(join(folder, WHOLE_DB))) return finishArchive(folder);
  const work = join(folder, WORK);
  rmSync(work, { recursive: true, force: true });
  mkdirSync(work, { recursive: true });
  for (const end of BESIDE) {
    const file = join(folder, WHOLE_DB + end);
    if (existsSync(file)) copyFileSync(file, join(work, WHOLE_DB + end));
  }
  // The copy is brought to the last number of its layout; nothing is written into the old file.
  const whole = openDatabase(join(work, WHOLE_DB), join(migrations, 'whole'));
  try {
    mkdirSync(join(folder, 'sites'), { recursive: true });
    for (const site of sitesOf(whole)) {
      if (SiteStore.exists(join(folder, 'sites', site))) continue;
      makeSite({ whole, folder, work, migrations, at }, site);
    }
    makeInstallation(whole, folder, work, migrations);
  } finally {
    whole.close();
  }
  // Once the old name is gone, the sites' own files are what counts.
  mkdirSync(join(folder, ARCHIVE), { recursive: true });
  for (const end of [...BESIDE].reverse()) {
    const file = join(folder, WHOLE_DB + end);
    if (existsSync(file)) renameSync(file, join(folder, ARCHIVE, WHOLE_DB + end));
  }
  finishArchive(folder);
}

/** What is left to do once the old file lies in the archive. */
function finishArchive(folder: string): void {
  rmSync(join(folder, WORK), { recursive: true, force: true });
  const photos = join(folder, 'photos');
  if (existsSync(photos) && existsSync(join(folder, ARCHIVE, WHOLE_DB)))
    renameSync(photos, join(folder, ARCHIVE, 'photos'));
}

interface Taking {
  whole: Db;
  folder: string;
  work: string;
  migrations: string;
  at: string;
}

function sitesOf(whole: Db): Id[] {
  // A site whose adding was undone has its lines still.
  return whole.prepare('SELECT site FROM journal UNION SELECT id FROM site').pluck().all() as Id[];
}

/** One site's folder, made beside the others and put in its place when it is whole. */
function makeSite({ whole, folder, work, migrations, at }: Taking, site: Id): void {
  const part = join(work, `site-${randomBytes(4).toString('hex')}`);
  mkdirSync(join(part, 'photos'), { recursive: true });
  const db = openDatabase(join(part, 'site.db'), join(migrations, 'site'));
  db.transaction(() => {
    copyRecords(whole, db, site);
    copyPhotos(whole, db, join(folder, 'photos'), join(part, 'photos'), site);
    const earlier = db.prepare('INSERT INTO earlier (id, sent) VALUES (?, ?)');
    for (const { id, sent } of whole.prepare('SELECT id, sent FROM journal WHERE site = ?').iterate(site) as IterableIterator<{ id: Id; sent: string }>) earlier.run(id, sent); // prettier-ignore
  })();
  db.close();
  const store = SiteStore.open(site, part, join(migrations, 'site'), at);
  store.transaction(() => {
    store.journal.appendOwn({ kind: 'migrated', at, payload: { ...spanOf(whole, site), records: hashOfRecords(store.db), version: RECORDS_VERSION } }); // prettier-ignore
    store.statuses.markAllStale();
  });
  store.close();
  renameSync(part, join(folder, 'sites', site));
}

/** Where the earlier journal ended, and the site's first and last line in it. */
function spanOf(whole: Db, site: Id): { head: string; lastSeq: number; first: number; last: number } {
  const head = whole.prepare('SELECT seq, hash FROM journal ORDER BY seq DESC LIMIT 1').get() as
    { seq: number; hash: string } | undefined;
  const span = whole
    .prepare('SELECT min(seq) AS first, max(seq) AS last FROM journal WHERE site = ?')
    .get(site) as { first: number | null; last: number | null };
  return { head: head?.hash ?? '', lastSeq: head?.seq ?? 0, first: span.first ?? 0, last: span.last ?? 0 };
}

function copyRecords(whole: Db, db: Db, site: Id): void {
  const byParent = ['site', ...TABLES.filter((table) => table !== 'site')] as TableName[];
  for (const table of byParent) {
    if (table === 'frozen') continue;
    const put = db.prepare(`INSERT INTO ${table} (id, body) VALUES (?, ?)`);
    const where = table === 'site' ? 'id' : 'site';
    const rows = whole.prepare(`SELECT id, body FROM ${table} WHERE ${where} = ? ORDER BY id`).iterate(site);
    for (const { id, body } of rows as IterableIterator<{ id: Id; body: string }>) {
      const record = JSON.parse(body) as Tables[TableName];
      const after = table === 'change' ? record : completed(table, record);
      put.run(id, after === record ? body : JSON.stringify(after));
    }
  }
}

/** Photos that the site's records show, and those that no record shows yet: their command may still come. */
function copyPhotos(whole: Db, db: Db, from: string, to: string, site: Id): void {
  const shown = (where: string) =>
    `SELECT json_extract(body, '$.photo') FROM look WHERE ${where} AND json_extract(body, '$.photo') IS NOT NULL
     UNION SELECT p.value FROM defect, json_each(defect.body, '$.photos') p WHERE ${where}`;
  const rows = whole
    .prepare(
      `SELECT * FROM photo WHERE id IN (${shown('site = @site')}) OR id NOT IN (${shown('site IS NOT NULL')})`,
    )
    .all({ site }) as Photo[];
  const put = db.prepare(
    `INSERT INTO photo (id, type, bytes, width, height, sha256, sent)
     VALUES (@id, @type, @bytes, @width, @height, @sha256, @sent)`,
  );
  for (const row of rows) {
    put.run(row);
    const name = photoFile(row);
    if (existsSync(join(from, name))) linkOrCopy(join(from, name), join(to, name));
  }
}

function linkOrCopy(from: string, to: string): void {
  try {
    linkSync(from, to);
  } catch {
    copyFileSync(from, to);
  }
}

/** People and settings; made anew each time, so that it is whole or not there. */
function makeInstallation(whole: Db, folder: string, work: string, migrations: string): void {
  if (existsSync(join(folder, INSTALLATION_DB))) return;
  const file = join(work, INSTALLATION_DB);
  const installation = Installation.open(file, join(migrations, 'installation'));
  for (const { id, name, created_at } of whole.prepare('SELECT * FROM person').all() as { id: Id; name: string; created_at: string }[]) installation.people.add({ id, name }, created_at); // prettier-ignore
  const secret = whole.prepare("SELECT value FROM setting WHERE key = 'session-secret'").pluck().get();
  if (typeof secret === 'string') installation.settings.set('session-secret', secret);
  installation.close();
  for (const end of readdirSync(work).filter((name) => name.startsWith(INSTALLATION_DB))) renameSync(join(work, end), join(folder, end)); // prettier-ignore
}
