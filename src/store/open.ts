import Database from 'better-sqlite3';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

export type Db = Database.Database;

/**
 * Opens the one database file and brings it to the newest migration.
 * WAL with full sync: what is acknowledged is on the disk.
 *
 * @param file path of the database; its folder exists and can be written
 * @param migrations folder of the numbered `.sql` files
 */
export function openDatabase(file: string, migrations: string): Db {
  const db = new Database(file);
  db.pragma('journal_mode = WAL');
  db.pragma('synchronous = FULL');
  db.pragma('foreign_keys = ON');
  db.pragma('busy_timeout = 5000');
  migrate(db, migrations);
  return db;
}

function migrate(db: Db, folder: string): void {
  const done = db.pragma('user_version', { simple: true }) as number;
  const files = readdirSync(folder)
    .filter((name) => /^\d{4}-.+\.sql$/.test(name))
    .sort();
  for (const name of files) {
    const number = Number(name.slice(0, 4));
    if (number <= done) continue;
    db.transaction(() => {
      db.exec(readFileSync(join(folder, name), 'utf8'));
      db.pragma(`user_version = ${number}`);
    })();
  }
}
