import Database from 'better-sqlite3';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Pages of a database that stay in memory at most, kB. Chosen: the index of 50,000 entries. */
const CACHE_KB = 64_000;

export type Db = Database.Database;

/** A database that cannot be used; the message says what to do. */
export class DatabaseError extends Error {
  override name = 'DatabaseError';
}

/**
 * Opens a database file and brings it to the newest migration.
 * WAL with full sync: what is acknowledged is on the disk.
 *
 * @param file path of the database; its folder exists and can be written
 * @param migrations folder of the numbered `.sql` files
 * @throws DatabaseError when it cannot be written, is damaged, is of another program, or of a newer version of this one
 */
export function openDatabase(file: string, migrations: string): Db {
  try {
    const db = new Database(file);
    try {
      db.pragma('journal_mode = WAL');
      db.pragma('synchronous = FULL');
      db.pragma(`cache_size = -${CACHE_KB}`);
      db.pragma('foreign_keys = ON');
      db.pragma('busy_timeout = 5000');
      migrate(db, file, migrations);
      needSchema(db, file, migrations);
      return db;
    } catch (error) {
      db.close();
      throw error;
    }
  } catch (error) {
    throw explained(file, error);
  }
}

/** Opens a database for reading only; it is as it was left, whatever its version. */
export function openForReading(file: string): Db {
  if (!existsSync(file)) throw new DatabaseError(`${file} is not there.`);
  try {
    const db = new Database(file, { readonly: true, fileMustExist: true });
    db.pragma('busy_timeout = 5000');
    return db;
  } catch (error) {
    throw explained(file, error);
  }
}

/** Pages that SQLite lets gather before it copies them into the database, while nobody else does. */
const OWN_CHECKPOINT_PAGES = 1000;

/** Leaves copying the log into the database to a replicator that reads it, or does it itself. */
export function leaveCheckpoints(db: Db, left: boolean): void {
  db.pragma(`wal_autocheckpoint = ${left ? 0 : OWN_CHECKPOINT_PAGES}`);
}

/** Closes a database; the log is copied into it, unless a replicator does that. */
export function closeDatabase(db: Db, left: boolean): void {
  if (!db.readonly && !left) db.pragma('wal_checkpoint(TRUNCATE)');
  db.close();
}

/** What a fault of the database means, and what to do. */
export function explained(file: string, error: unknown): unknown {
  const { code } = error as { code?: string };
  if (code?.startsWith('SQLITE_READONLY') || code === 'SQLITE_CANTOPEN')
    return new DatabaseError(`The database ${file} cannot be written (${code}). Give write access to it, or name another folder in YENDRAL_DATA.`); // prettier-ignore
  if (code === 'SQLITE_NOTADB' || code?.startsWith('SQLITE_CORRUPT'))
    return new DatabaseError(`${file} is no sound database (${code}). Put a backup in its place with npm run restore.`); // prettier-ignore
  if (code === 'SQLITE_FULL' || code?.startsWith('SQLITE_IOERR'))
    return new DatabaseError(`The disk is full, or fails, under ${file} (${code}). Make room, then start again; nothing was lost.`); // prettier-ignore
  if (code?.startsWith('SQLITE_BUSY'))
    return new DatabaseError(`${file} is in use by another program (${code}). Stop it, then start again.`);
  return error;
}

function migrate(db: Db, file: string, folder: string): void {
  const done = db.pragma('user_version', { simple: true }) as number;
  const files = readdirSync(folder)
    .filter((name) => /^\d{4}-.+\.sql$/.test(name))
    .sort();
  const newest = Number(files.at(-1)?.slice(0, 4) ?? 0);
  if (done > newest)
    throw new DatabaseError(`${file} was written by a newer version of Yendral (its number is ${done}, this version knows ${newest}). Use that version; this one changes nothing.`); // prettier-ignore
  if (done === 0 && db.prepare('SELECT count(*) AS n FROM sqlite_master').pluck().get() !== 0)
    throw new DatabaseError(`${file} is a database of another program. Name another folder in YENDRAL_DATA.`);
  for (const name of files) {
    const number = Number(name.slice(0, 4));
    if (number <= done) continue;
    db.transaction(() => {
      db.exec(readFileSync(join(folder, name), 'utf8'));
      db.pragma(`user_version = ${number}`);
    })();
  }
}

/** The tables and indexes that a folder of migrations makes, as one text; made once. */
const schemas = new Map<string, string>();

/** A database that was changed by hand, or is cut, has other tables than the migrations make. */
function needSchema(db: Db, file: string, folder: string): void {
  let expected = schemas.get(folder);
  if (expected === undefined) {
    const fresh = new Database(':memory:');
    migrate(fresh, file, folder);
    schemas.set(folder, (expected = schemaOf(fresh)));
    fresh.close();
  }
  if (schemaOf(db) === expected) return;
  throw new DatabaseError(`${file} has other tables than this version makes: it was changed by hand, or is damaged. Put a backup in its place with npm run restore.`); // prettier-ignore
}

// The replicator keeps two small tables of its own in every database that it reads.
const schemaOf = (db: Db): string =>
  (db.prepare("SELECT name, sql FROM sqlite_master WHERE sql IS NOT NULL AND name NOT GLOB '_litestream_*' ORDER BY name").all() as { name: string; sql: string }[]).map(({ name, sql }) => `${name}\n${sql}`).join('\n'); // prettier-ignore
