import { MemorySlice, type Slice, type Written } from '../src/core/record/slice';
import type { Id, TableName, Tables } from '../src/core/record/types';

/** A slice that keeps which records were read through it. */
export class RecordingSlice implements Slice {
  readonly #read = new Map<string, Written>();

  constructor(private readonly of: Slice) {}

  get<T extends TableName>(table: T, id: Id): Tables[T] | null {
    const record = this.of.get(table, id);
    if (record) this.#keep(table, record);
    return record;
  }

  by<T extends TableName>(table: T, field: string, value: Id): Tables[T][] {
    const records = this.of.by(table, field, value);
    for (const record of records) this.#keep(table, record);
    return records;
  }

  all<T extends TableName>(table: T): Tables[T][] {
    const records = this.of.all(table);
    for (const record of records) this.#keep(table, record);
    return records;
  }

  #keep(table: TableName, record: Tables[TableName]): void {
    this.#read.set(`${table} ${record.id}`, { table, id: record.id, after: record });
  }

  /** How many records were read. */
  get count(): number {
    return this.#read.size;
  }

  /** A slice of just what was read. */
  taken(): MemorySlice {
    const slice = new MemorySlice();
    slice.write([...this.#read.values()]);
    return slice;
  }
}
