import type { Change, Id, TableName, Tables } from './types';

/** Reading access to a site's records; the page keeps them in memory, the server in SQLite. */
export interface Slice {
  get<T extends TableName>(table: T, id: Id): Tables[T] | null;
  /** Records whose field is the value, or a list that holds it, in the order of their ids. */
  by<T extends TableName>(table: T, field: string, value: Id): Tables[T][];
  /** Every record of a table. */
  all<T extends TableName>(table: T): Tables[T][];
}

/** A record as it is written; null: removed. */
export interface Written {
  table: TableName;
  id: Id;
  after: Tables[TableName] | null;
}

/** One record written or removed, and what stood there before; null: nothing. */
export interface RecordChange extends Written {
  before: Tables[TableName] | null;
}

/**
 * What takes a command's change back: each record as it was before.
 *
 * @example reverse({ …, records: [{ table: 'area', id: 'a', before: null, rev: 'c1' }] }) // [{ table: 'area', id: 'a', after: null }]
 */
export const reverse = ({ records }: Pick<Change, 'records'>): Written[] =>
  records.map(({ table, id, before }) => ({ table, id, after: before as Tables[TableName] | null }));

/**
 * Writings one after the other as one: each record once, as it was left, in the order in which they were met first.
 *
 * @example squash([{ table: 'area', id: 'a', after: one }, { table: 'area', id: 'a', after: two }]) // [{ table: 'area', id: 'a', after: two }]
 */
export function squash(written: readonly Written[]): Written[] {
  const last = new Map<string, Written>();
  for (const one of written) last.set(`${one.table} ${one.id}`, one);
  return [...last.values()];
}

/** A slice in memory: records by table and id, with an index per looked-up field. */
export class MemorySlice implements Slice {
  readonly #tables = new Map<TableName, Map<Id, Tables[TableName]>>();
  readonly #indexes = new Map<string, Map<Id, Set<Id>>>();

  get<T extends TableName>(table: T, id: Id): Tables[T] | null {
    return (this.#tables.get(table)?.get(id) as Tables[T] | undefined) ?? null;
  }

  by<T extends TableName>(table: T, field: string, value: Id): Tables[T][] {
    const ids = this.#index(table, field).get(value);
    const own = ids ? [...ids].map((id) => this.#tables.get(table)!.get(id) as Tables[T]) : [];
    return sortById(own);
  }

  all<T extends TableName>(table: T): Tables[T][] {
    return sortById([...(this.#tables.get(table)?.values() ?? [])] as Tables[T][]);
  }

  /** Writes the changes of one command, or of many. */
  write(changes: readonly Written[]): void {
    for (const { table, id, after } of changes) {
      const records = this.#table(table);
      const before = records.get(id);
      if (before) this.#unindex(table, before);
      if (after === null) records.delete(id);
      else {
        records.set(id, after);
        this.#reindex(table, after);
      }
    }
  }

  /** A copy that can be written without touching this one; the records themselves are shared. */
  copy(): MemorySlice {
    const copy = new MemorySlice();
    for (const [table, records] of this.#tables) copy.#tables.set(table, new Map(records));
    return copy;
  }

  #table(table: TableName) {
    let records = this.#tables.get(table);
    if (!records) this.#tables.set(table, (records = new Map()));
    return records;
  }

  #index(table: TableName, field: string) {
    const key = `${table}.${field}`;
    let index = this.#indexes.get(key);
    if (index) return index;
    this.#indexes.set(key, (index = new Map()));
    for (const record of this.#table(table).values()) addTo(index, record, field);
    return index;
  }

  #unindex(table: TableName, record: Tables[TableName]) {
    for (const [key, index] of this.#indexes) {
      const [t, field] = key.split('.') as [TableName, string];
      if (t === table) for (const value of valuesOf(record, field)) index.get(value)?.delete(record.id);
    }
  }

  #reindex(table: TableName, record: Tables[TableName]) {
    for (const [key, index] of this.#indexes) {
      const [t, field] = key.split('.') as [TableName, string];
      if (t === table) addTo(index, record, field);
    }
  }
}

/** What a record is looked up by in a field: its value, or each of a list. */
export function valuesOf(record: Tables[TableName], field: string): readonly Id[] {
  const value = (record as unknown as Record<string, Id | readonly Id[] | undefined>)[field];
  return typeof value === 'object' && value !== null ? value : [value as Id];
}

function addTo(index: Map<Id, Set<Id>>, record: Tables[TableName], field: string): void {
  for (const value of valuesOf(record, field)) {
    const ids = index.get(value);
    if (ids) ids.add(record.id);
    else index.set(value, new Set([record.id]));
  }
}

const sortById = <R extends { id: Id }>(records: R[]): R[] =>
  records.sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));
