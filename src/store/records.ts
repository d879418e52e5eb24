import type { Statement } from 'better-sqlite3';
import type { RecordChange, Slice } from '../core/record/slice';
import type { Id, TableName, Tables } from '../core/record/types';
import type { Db } from './open';

/** Columns that records can be looked up by. */
const LOOKUPS: Record<TableName, readonly string[]> = {
  site: [],
  area: ['site', 'name'],
  enclosure: ['site', 'area', 'tag'],
  cable: ['site'],
  certificate: ['site'],
  instrument: ['site'],
  entry: ['site', 'enclosure', 'certificate', 'cable'],
  round: ['site'],
  reading: ['site', 'entry', 'round', 'instrument'],
  look: ['site', 'entry', 'round'],
  pour: ['site', 'entry', 'round'],
  makeoff: ['site', 'entry', 'round'],
  insulation: ['site', 'cable', 'instrument', 'entry'],
  continuity: ['site', 'cable'],
  packing: ['site', 'entry'],
  asleft: ['site', 'entry', 'round'],
  frozen: [],
  reference: ['site'],
  inspection: ['site', 'entry', 'round'],
  defect: ['site', 'entry', 'round'],
  change: ['site'],
};

type Row = { body: string };

/** Bodies that are kept parsed; more than these start anew. */
const MOST_PARSED = 40_000;

/** Records in SQLite, read and written as their bodies. A record that was read is never changed by its reader. */
export class Records implements Slice {
  readonly #statements = new Map<string, Statement>();
  readonly #parsed = new Map<string, Tables[TableName]>();
  readonly #written = new Set<string>();

  constructor(private readonly db: Db) {}

  get<T extends TableName>(table: T, id: Id): Tables[T] | null {
    const key = `${table} ${id}`;
    const known = this.#parsed.get(key);
    if (known) return known as Tables[T];
    const row = this.#prepare(`SELECT body FROM ${table} WHERE id = ?`).get(id) as Row | undefined;
    if (!row) return null;
    const record = JSON.parse(row.body) as Tables[T];
    this.#keep(key, record);
    return record;
  }

  /** A transaction begins: from here on it is known what it has written. */
  begin(): void {
    this.#written.clear();
  }

  /** Forgets what this transaction has written: after something was taken back, it may not be what is stored. */
  forget(): void {
    for (const key of this.#written) this.#parsed.delete(key);
  }

  #keep(key: string, record: Tables[TableName]): void {
    if (this.#parsed.size >= MOST_PARSED) this.#parsed.clear();
    this.#parsed.set(key, record);
  }

  by<T extends TableName>(table: T, field: string, value: Id): Tables[T][] {
    if (!LOOKUPS[table].includes(field)) throw new Error(`${table} cannot be looked up by ${field}`);
    const ids = this.#prepare(`SELECT id FROM ${table} WHERE ${field} = ? ORDER BY id`).all(value) as {
      id: Id;
    }[];
    return ids.map(({ id }) => this.get(table, id)!);
  }

  all<T extends TableName>(table: T): Tables[T][] {
    return this.#rows(`SELECT body FROM ${table} ORDER BY id`, []);
  }

  /** The newest changes of a site, newest first. */
  recentChanges(site: Id, most: number): Tables['change'][] {
    return this.#rows('SELECT body FROM change WHERE site = ? ORDER BY id DESC LIMIT ?', [site, most]);
  }

  /** Changes that touched a record, newest first. */
  changesOf(id: Id, most: number): Tables['change'][] {
    const sql = `SELECT body FROM change WHERE EXISTS
      (SELECT 1 FROM json_each(change.body, '$.records') r WHERE json_extract(r.value, '$.id') = ?)
      ORDER BY id DESC LIMIT ?`;
    return this.#rows(sql, [id, most]);
  }

  /** Writes changes; the caller holds the transaction. */
  write(changes: readonly RecordChange[]): void {
    for (const { table, id, after } of changes) {
      const key = `${table} ${id}`;
      this.#written.add(key);
      if (after === null) {
        this.#parsed.delete(key);
        this.#prepare(`DELETE FROM ${table} WHERE id = ?`).run(id);
      } else {
        // As it is read back: without fields that are undefined.
        const body = JSON.stringify(after);
        if (table === 'change') this.#parsed.delete(key);
        else this.#keep(key, JSON.parse(body) as Tables[TableName]);
        const sql = `INSERT INTO ${table} (id, body) VALUES (?, ?) ON CONFLICT (id) DO UPDATE SET body = excluded.body`;
        this.#prepare(sql).run(id, body);
      }
    }
  }

  #rows<R>(sql: string, params: unknown[]): R[] {
    return (this.#prepare(sql).all(...params) as Row[]).map(({ body }) => JSON.parse(body) as R);
  }

  #prepare(sql: string): Statement {
    let statement = this.#statements.get(sql);
    if (!statement) this.#statements.set(sql, (statement = this.db.prepare(sql)));
    return statement;
  }
}
