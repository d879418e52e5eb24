import type { EntryStatus, Id } from '../core/record/types';
import type { Db } from './open';

/** The derived table of where each entry stands. */
export class Statuses {
  readonly #put;
  readonly #remove;

  readonly #mark;
  readonly #unmark;
  readonly #some;
  /** Marked since the last time, so that nothing is marked twice. */
  readonly #marked = new Set<Id>();

  constructor(private readonly db: Db) {
    this.#mark = db.prepare('INSERT OR IGNORE INTO stale (entry) VALUES (?)');
    this.#unmark = db.prepare('DELETE FROM stale WHERE entry = ?');
    this.#some = db.prepare('SELECT entry FROM stale LIMIT ?').pluck();
    this.#put = db.prepare(
      `INSERT INTO entry_status (entry, body) VALUES (?, ?)
       ON CONFLICT (entry) DO UPDATE SET body = excluded.body`,
    );
    this.#remove = db.prepare('DELETE FROM entry_status WHERE entry = ?');
  }

  /** Marks entries to be judged again. */
  markStale(entries: Iterable<Id>): void {
    for (const entry of entries) {
      if (this.#marked.has(entry)) continue;
      this.#marked.add(entry);
      this.#mark.run(entry);
    }
  }

  /** Marks every entry of the site. */
  markAllStale(): void {
    this.db.exec('INSERT OR IGNORE INTO stale (entry) SELECT id FROM entry');
  }

  /** Marks may have been taken back. */
  forget(): void {
    this.#marked.clear();
  }

  /** Some of the entries that are marked. */
  stale(most: number): Id[] {
    return this.#some.all(most) as Id[];
  }

  /** How many are marked. */
  countStale(): number {
    return this.db.prepare('SELECT count(*) FROM stale').pluck().get() as number;
  }

  /** An entry was judged again. */
  unmark(entry: Id): void {
    this.#marked.delete(entry);
    this.#unmark.run(entry);
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
