import type { DossierFields } from '../core/commands/commands';
import type { Id } from '../core/record/types';
import type { Db } from './open';

/** An instrument as the installation has it. */
export type Registered = DossierFields['instrument'];

/** An instrument of the register, who last wrote it, and where it is. */
export interface RegisterRow {
  instrument: Registered;
  by: string;
  sites: Id[];
}

/** The register of instruments: they belong to the installation, and are lent to sites. */
export class Register {
  constructor(private readonly db: Db) {}

  all(): RegisterRow[] {
    const rows = this.db.prepare('SELECT id, body, by FROM instrument ORDER BY id').all();
    return (rows as { id: Id; body: string; by: string }[]).map(({ id, body, by }) => ({
      instrument: JSON.parse(body) as Registered,
      by,
      sites: this.#sites(id),
    }));
  }

  get(id: Id): RegisterRow | null {
    const row = this.db.prepare('SELECT body, by FROM instrument WHERE id = ?').get(id) as
      { body: string; by: string } | undefined;
    return row
      ? { instrument: JSON.parse(row.body) as Registered, by: row.by, sites: this.#sites(id) }
      : null;
  }

  put(instrument: Registered, by: string): void {
    this.db
      .prepare(
        `INSERT INTO instrument (id, body, by) VALUES (?, ?, ?)
         ON CONFLICT (id) DO UPDATE SET body = excluded.body, by = excluded.by`,
      )
      .run(instrument.id, JSON.stringify(instrument), by);
  }

  /**
   * An instrument is at a site.
   *
   * @param rev command that its newest version there is of
   */
  lend(id: Id, site: Id, rev: Id): void {
    this.db
      .prepare(
        `INSERT INTO loan (instrument, site, rev) VALUES (?, ?, ?)
         ON CONFLICT (instrument, site) DO UPDATE SET rev = excluded.rev`,
      )
      .run(id, site, rev);
  }

  /** Command of the newest version that the register has seen of an instrument at a site; null where it is not. */
  seen(id: Id, site: Id): Id | null {
    const rev = this.db
      .prepare('SELECT rev FROM loan WHERE instrument = ? AND site = ?')
      .pluck()
      .get(id, site);
    return (rev as Id | undefined) ?? null;
  }

  /** It is there no more; versions that were measured with stay in the site's own file. */
  takeBack(id: Id, site: Id): void {
    this.db.prepare('DELETE FROM loan WHERE instrument = ? AND site = ?').run(id, site);
  }

  #sites(id: Id): Id[] {
    return this.db
      .prepare('SELECT site FROM loan WHERE instrument = ? ORDER BY site')
      .pluck()
      .all(id) as Id[];
  }
}
