import type { Statement } from 'better-sqlite3';
import type { RecordChange, Slice } from '../core/record/slice';
import type { Id, TableName, Tables } from '../core/record/types';
import type { Db } from './open';

/** Every table of records, in the order in which they refer to each other. */
export const TABLES = [
  'site', 'area', 'enclosure', 'cable', 'certificate', 'instrument', 'entry', 'round',
  'reference', 'reading', 'look', 'pour', 'makeoff', 'insulation', 'continuity', 'packing', 'asleft', 'inspection', 'defect', 'change',
] as const satisfies readonly TableName[]; // prettier-ignore

/** Columns that records can be looked up by. */
const LOOKUPS: Record<TableName, readonly string[]> = {
  site: [],
  area: ['site'],
  enclosure: ['site', 'area'],
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
  reference: ['site'],
  inspection: ['site', 'entry', 'round'],
  defect: ['site', 'entry', 'round'],
  change: ['site'],
};

type Row = { body: string };

/** Records in SQLite, read and written as their bodies. */
export class Records implements Slice {
  readonly #statements = new Map<string, Statement>();

  constructor(private readonly db: Db) {}

  get<T extends TableName>(table: T, id: Id): Tables[T] | null {
    const row = this.#prepare(`SELECT body FROM ${table} WHERE id = ?`).get(id) as Row | undefined;
    return row ? (JSON.parse(row.body) as Tables[T]) : null;
  }

  by<T extends TableName>(table: T, field: string, value: Id): Tables[T][] {
    if (!LOOKUPS[table].includes(field)) throw new Error(`${table} cannot be looked up by ${field}`);
    return this.#rows(`SELECT body FROM ${table} WHERE ${field} = ? ORDER BY id`, [value]);
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
      if (after === null) this.#prepare(`DELETE FROM ${table} WHERE id = ?`).run(id);
      else {
        const sql = `INSERT INTO ${table} (id, body) VALUES (?, ?) ON CONFLICT (id) DO UPDATE SET body = excluded.body`;
        this.#prepare(sql).run(id, JSON.stringify(after));
      }
    }
  }

  /** Whether records of an earlier day have not been completed since the last migration. */
  needCompleting(): boolean {
    return (
      this.#prepare("SELECT 1 FROM setting WHERE key = 'records.completed' AND value = '0'").get() !==
      undefined
    );
  }

  markCompleted(): void {
    this.#prepare("UPDATE setting SET value = '1' WHERE key = 'records.completed'").run();
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
