import type { Statement } from 'better-sqlite3';
import { valuesOf, type RecordChange, type Slice } from '../core/record/slice';
import { isListField, lookupsOf } from '../core/record/tables';
import type { Id, TableName, Tables } from '../core/record/types';
import type { Db } from './open';

type Row = { body: string };

/** The same of what is kept for a while only: some judgements’ worth. */
const MOST_BRIEF = 2000;

/** Tables of which one record is referred to by many others. */
const SHARED: ReadonlySet<TableName> = new Set([
  'site',
  'area',
  'enclosure',
  'certificate',
  'instrument',
  'round',
  'reference',
]);

/** Records and look-ups that are kept in memory; more than these start anew. */
const MOST_KEPT = 40_000;

/**
 * Records in SQLite, read and written as their bodies. A record that was read is never changed by its reader, nor is
 * a list of them. Who writes alone keeps what it has read; who only reads, beside a writer, keeps nothing.
 */
export class Records implements Slice {
  readonly #statements = new Map<string, Statement>();
  /** By table and id; null for one that is not there. */
  readonly #parsed = new Map<string, Tables[TableName] | null>();
  /** Look-ups by table, field and value. */
  readonly #lists = new Map<string, Tables[TableName][]>();
  /** What only one judgement asks for, again and again, where not all stays in memory. */
  readonly #brief = new Map<string, Tables[TableName] | null>();
  readonly #written = new Set<string>();
  /** @param keeps what stays in memory once it was read: all of it, what many records refer to, or nothing */
  constructor(
    private readonly db: Db,
    private readonly keeps: 'all' | 'shared' | 'none' = db.readonly ? 'none' : 'all',
  ) {}

  get<T extends TableName>(table: T, id: Id): Tables[T] | null {
    const key = `${table} ${id}`;
    const known = this.#parsed.get(key) ?? this.#brief.get(key);
    if (known !== undefined) return known as Tables[T] | null;
    const row = this.#prepare(`SELECT body FROM ${table} WHERE id = ?`).get(id) as Row | undefined;
    const record = row ? (JSON.parse(row.body) as Tables[T]) : null;
    this.#keep(table, key, record);
    return record;
  }

  /** How many records a table has. */
  count(table: TableName): number {
    return this.#prepare(`SELECT count(*) AS n FROM ${table}`).pluck().get() as number;
  }

  /** A transaction begins: from here on it is known what it has written. */
  begin(): void {
    this.#written.clear();
  }

  /** Forgets what this transaction has written: after something was taken back, it may not be what is stored. */
  forget(): void {
    for (const key of this.#written) this.#parsed.delete(key);
    this.#lists.clear();
  }

  #keep(table: TableName, key: string, record: Tables[TableName] | null): void {
    if (this.keeps === 'none') return;
    if (this.keeps === 'shared' && !SHARED.has(table)) {
      if (this.#brief.size >= MOST_BRIEF) this.#brief.clear();
      this.#brief.set(key, record);
      return;
    }
    if (this.#parsed.size >= MOST_KEPT) this.#parsed.clear();
    this.#parsed.set(key, record);
  }

  by<T extends TableName>(table: T, field: string, value: Id): Tables[T][] {
    if (!lookupsOf(table).includes(field)) throw new Error(`${table} cannot be looked up by ${field}`);
    const key = listKey(table, field, value);
    const known = this.#lists.get(key);
    // Who sorts or filters a list does it with their own.
    if (known) return known.slice() as Tables[T][];
    // What many refer to is mostly known already: its body need not be fetched again.
    if (this.keeps !== 'none' && SHARED.has(table)) {
      const ids = this.#prepare(lookup(table, field, 'id'))
        .pluck()
        .all(value) as Id[];
      return this.#listKept(key, ids.map((id) => this.get(table, id)!)); // prettier-ignore
    }
    const rows = this.#prepare(lookup(table, field)).raw().all(value) as [Id, string][];
    const list = rows.map(([id, body]): Tables[T] => {
      const known = `${table} ${id}`;
      const kept = (this.#parsed.get(known) ?? this.#brief.get(known)) as Tables[T] | null | undefined;
      if (kept) return kept;
      const record = JSON.parse(body) as Tables[T];
      this.#keep(table, known, record);
      return record;
    });
    return this.#listKept(key, list);
  }

  #listKept<T extends TableName>(key: string, list: Tables[T][]): Tables[T][] {
    if (this.keeps === 'none') return list;
    if (this.#lists.size >= (this.keeps === 'all' ? MOST_KEPT : MOST_BRIEF)) this.#lists.clear();
    this.#lists.set(key, list);
    return list.slice();
  }

  all<T extends TableName>(table: T): Tables[T][] {
    return this.#rows(`SELECT body FROM ${table} ORDER BY id`, []);
  }

  /** The same a few hundred at a time, in the order of their ids: nothing holds all of a large table. */
  *batches<T extends TableName>(table: T, many: number): Generator<Tables[T][]> {
    const some = this.#prepare(`SELECT id, body FROM ${table} WHERE id > ? ORDER BY id LIMIT ?`).raw();
    for (let after = ''; ;) {
      const rows = some.all(after, many) as [Id, string][];
      if (rows.length > 0) yield rows.map(([, body]) => JSON.parse(body) as Tables[T]);
      if (rows.length < many) return;
      after = rows.at(-1)![0];
    }
  }

  /** Every record of a table as the JSON that it is kept as: sent on, it need not be read. */
  texts(table: TableName): string[] {
    return this.#texts(`SELECT body FROM ${table} ORDER BY id`, []);
  }

  /** The newest changes of a site, newest first, as the JSON that they are kept as. */
  recentChanges(site: Id, most: number): string[] {
    return this.#texts('SELECT body FROM change WHERE +site = ? ORDER BY id DESC LIMIT ?', [site, most]);
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
    for (const { table, id, before, after } of changes) {
      const key = `${table} ${id}`;
      // Nobody looks changes up, and there are many.
      const plain = table === 'change' || table === 'frozen';
      this.#written.add(key);
      let stored: Tables[TableName] | null = null;
      if (after === null) this.#prepare(`DELETE FROM ${table} WHERE id = ?`).run(id);
      else {
        const body = JSON.stringify(after);
        // As it is read back: without fields that are undefined.
        if (!plain) stored = JSON.parse(body) as Tables[TableName];
        const sql = `INSERT INTO ${table} (id, body) VALUES (?, ?) ON CONFLICT (id) DO UPDATE SET body = excluded.body`;
        this.#prepare(sql).run(id, body);
      }
      if (plain) this.#parsed.delete(key);
      else {
        this.#keep(table, key, stored);
        this.#relist(table, before, stored);
      }
    }
  }

  /** Brings the look-ups that a record was or is in up to it. */
  #relist(table: TableName, before: Tables[TableName] | null, after: Tables[TableName] | null): void {
    for (const field of lookupsOf(table)) {
      const were = before ? valuesOf(before, field) : [];
      const are = after ? valuesOf(after, field) : [];
      const stays = new Set(were.length > 1 || are.length > 1 ? are : []);
      for (const was of were)
        if (was && was !== are[0] && !stays.has(was)) this.#lists.delete(listKey(table, field, was));
      const stood = new Set(were);
      for (const is of are) if (is) this.#enlist(listKey(table, field, is), after!, stood.has(is));
    }
  }

  /** A record is in a look-up that may be kept, and may have been in it before. */
  #enlist(key: string, record: Tables[TableName], stood: boolean): void {
    const list = this.#lists.get(key);
    if (!list) return;
    const last = list[list.length - 1];
    if (stood) replaceIn(list, record);
    // Ids grow with time: a new record goes to the end, nearly always.
    else if (!last || last.id < record.id) list.push(record);
    else this.#lists.delete(key);
  }

  #rows<R>(sql: string, params: unknown[]): R[] {
    return this.#texts(sql, params).map((body) => JSON.parse(body) as R);
  }

  #texts(sql: string, params: unknown[]): string[] {
    return (this.#prepare(sql).all(...params) as Row[]).map(({ body }) => body);
  }

  #prepare(sql: string): Statement {
    let statement = this.#statements.get(sql);
    if (!statement) this.#statements.set(sql, (statement = this.db.prepare(sql)));
    return statement;
  }
}

/** Lists of ids stand in a table of their own, one row for each. */
const lookup = (table: TableName, field: string, what = 'id, body'): string =>
  isListField(table, field)
    ? `SELECT ${what} FROM ${table} JOIN ${table}_${field} ON record = id WHERE value = ? ORDER BY id`
    : `SELECT ${what} FROM ${table} WHERE ${field} = ? ORDER BY id`;

const listKey = (table: TableName, field: string, value: Id): string => `${table}.${field} ${value}`;

function replaceIn(list: Tables[TableName][], record: Tables[TableName]): void {
  for (let i = list.length - 1; i >= 0; i--) {
    if (list[i]!.id !== record.id) continue;
    list[i] = record;
    return;
  }
}
