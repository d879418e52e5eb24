import type { Id, TableName, Tables } from './types';

/** Reading access to a site's records; the page keeps them in memory, the server in SQLite. */
export interface Slice {
  get<T extends TableName>(table: T, id: Id): Tables[T] | null;
  /** Records whose field holds the value, in the order of their ids. */
  by<T extends TableName>(table: T, field: string, value: Id): Tables[T][];
  /** Every record of a table. */
  all<T extends TableName>(table: T): Tables[T][];
}

/** One record written or removed. */
export interface RecordChange {
  table: TableName;
  id: Id;
  after: Tables[TableName] | null;
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
  write(changes: readonly RecordChange[]): void {
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
      if (t === table) index.get(fieldOf(record, field))?.delete(record.id);
    }
  }

  #reindex(table: TableName, record: Tables[TableName]) {
    for (const [key, index] of this.#indexes) {
      const [t, field] = key.split('.') as [TableName, string];
      if (t === table) addTo(index, record, field);
    }
  }
}

const fieldOf = (record: Tables[TableName], field: string): Id =>
  (record as unknown as Record<string, Id>)[field]!;

function addTo(index: Map<Id, Set<Id>>, record: Tables[TableName], field: string): void {
  const value = fieldOf(record, field);
  const ids = index.get(value);
  if (ids) ids.add(record.id);
  else index.set(value, new Set([record.id]));
}

const sortById = <R extends { id: Id }>(records: R[]): R[] =>
  records.sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));
