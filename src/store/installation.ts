import { closeDatabase, openDatabase, openForReading, type Db } from './open';
import { People } from './people';
import { Register } from './register';
import { Settings } from './settings';
import type { Id } from '../core/record/types';
import type { SiteSummary } from './site-store';

/** Name of the installation's database in the data folder. */
export const INSTALLATION_DB = 'installation.db';

/** A site as the list of sites has it. */
export interface ListedSite {
  id: Id;
  name: string;
  summary: SiteSummary;
}

/** What belongs to the installation and to no site: people, settings, instruments, the list of sites. */
export class Installation {
  readonly people: People;
  readonly settings: Settings;
  readonly register: Register;

  private constructor(readonly db: Db) {
    this.people = new People(db);
    this.settings = new Settings(db);
    this.register = new Register(db);
  }

  /** @throws DatabaseError when the database cannot be used */
  static open(file: string, migrations: string): Installation {
    return new Installation(openDatabase(file, migrations));
  }

  static read(file: string): Installation {
    return new Installation(openForReading(file));
  }

  /** The sites, by name. */
  sites(): ListedSite[] {
    const rows = this.db.prepare('SELECT id, name, summary FROM site ORDER BY name COLLATE NOCASE').all();
    return (rows as { id: Id; name: string; summary: string }[]).map((row) => ({
      ...row,
      summary: JSON.parse(row.summary) as SiteSummary,
    }));
  }

  /** Lists a site as it is now. */
  list(id: Id, name: string, summary: SiteSummary): void {
    this.db
      .prepare(
        `INSERT INTO site (id, name, summary) VALUES (?, ?, ?)
         ON CONFLICT (id) DO UPDATE SET name = excluded.name, summary = excluded.summary`,
      )
      .run(id, name, JSON.stringify(summary));
  }

  /** Lists a site no more; its file stays. */
  unlist(id: Id): void {
    this.db.prepare('DELETE FROM site WHERE id = ?').run(id);
  }

  /** @param left whether copying its log into the database is left to a replicator */
  close(left = false): void {
    closeDatabase(this.db, left);
  }
}
