import type { EntryStatus, Id } from '../core/record/types';
import type { Db } from './open';

/** The derived table of where each entry stands. */
export class Statuses {
  readonly #put;
  readonly #remove;

  constructor(private readonly db: Db) {
    this.#put = db.prepare(
      `INSERT INTO entry_status (entry, body) VALUES (?, ?)
       ON CONFLICT (entry) DO UPDATE SET body = excluded.body`,
    );
    this.#remove = db.prepare('DELETE FROM entry_status WHERE entry = ?');
  }

  put(status: EntryStatus): void {
    this.#put.run(status.entry, JSON.stringify(status));
  }

  remove(entry: Id): void {
    this.#remove.run(entry);
  }

  all(): EntryStatus[] {
    const rows = this.db.prepare('SELECT body FROM entry_status ORDER BY entry').all();
    return (rows as { body: string }[]).map(({ body }) => JSON.parse(body) as EntryStatus);
  }
}
