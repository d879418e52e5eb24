import type { Judged } from '../core/commands/news';
import type { Id, Standing } from '../core/record/types';
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
      `INSERT INTO entry_status (entry, body, day) VALUES (?, ?, ?)
       ON CONFLICT (entry) DO UPDATE SET body = excluded.body, day = excluded.day`,
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

  /** Marks the entries that were judged on another day: what depends on the date may stand otherwise now. */
  markOfOtherDays(day: string): void {
    this.db
      .prepare('INSERT OR IGNORE INTO stale (entry) SELECT entry FROM entry_status WHERE day <> ?')
      .run(day);
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

  put({ day, status }: Judged): void {
    this.#put.run(status.entry, JSON.stringify(status), day);
  }

  remove(entry: Id): void {
    this.#remove.run(entry);
  }

  /** Where the entries stand that nothing has touched since they were judged: each a `Judged`, as JSON. */
  standing(): string[] {
    const rows = this.db
      .prepare('SELECT body, day FROM entry_status WHERE entry NOT IN (SELECT entry FROM stale)')
      .all() as { body: string; day: string }[];
    return rows.map(({ body, day }) => `{"day":${JSON.stringify(day)},"status":${body}}`);
  }

  all(): Standing[] {
    const rows = this.db.prepare('SELECT body FROM entry_status ORDER BY entry').all();
    return (rows as { body: string }[]).map(({ body }) => JSON.parse(body) as Standing);
  }
}
