import { sortKey } from '../core/record/natural';
import type { RecordChange } from '../core/record/slice';
import type { Id, TableName } from '../core/record/types';
import { recordListed, type Listed } from '../core/words/en/listed';
import type { Db } from './open';
import { Prepared } from './prepared';

/** What the records of a site are found by: written only where it changes. */
export class ListedRows {
  readonly #sql: Prepared;

  constructor(db: Db) {
    this.#sql = new Prepared(db);
  }

  /** Follows changes of records; entries are listed with where they stand. */
  follow(changes: readonly RecordChange[]): void {
    for (const { table, id, after } of changes) {
      const listed = after && recordListed(table, after);
      if (listed) this.put(table, id, listed);
      else if (after === null) this.remove(table, id);
    }
  }

  /** @returns the number of its row */
  put(table: TableName, id: Id, { title, words }: Listed): number {
    const known = this.#sql
      .get('SELECT row, title, words FROM listed WHERE of_table = ? AND id = ?')
      .get(table, id) as (Listed & { row: number }) | undefined;
    if (known?.title === title && known.words === words) return known.row;
    if (known) {
      this.#sql.get('UPDATE listed SET name = ?, title = ?, words = ? WHERE row = ?').run(sortKey(title), title, words, known.row); // prettier-ignore
      return known.row;
    }
    const added = this.#sql
      .get('INSERT INTO listed (of_table, id, name, title, words) VALUES (?, ?, ?, ?, ?)')
      .run(table, id, sortKey(title), title, words);
    return Number(added.lastInsertRowid);
  }

  remove(table: TableName, id: Id): void {
    this.#sql.get('DELETE FROM listed WHERE of_table = ? AND id = ?').run(table, id);
  }
}
