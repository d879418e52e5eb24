import { MemorySlice, type Written, type Slice } from './slice';
import type { Id, TableName, Tables } from './types';

/**
 * What is about to become of a slice: changes that stand over it and leave it as it is. It costs as much as there
 * are changes, however large the slice below is.
 */
export class OverlaySlice implements Slice {
  #over = new MemorySlice();
  #gone = new Map<TableName, Set<Id>>();
  #own = new Map<TableName, Set<Id>>();

  constructor(private below: Slice) {}

  get<T extends TableName>(table: T, id: Id): Tables[T] | null {
    if (this.#gone.get(table)?.has(id)) return null;
    return this.#over.get(table, id) ?? this.below.get(table, id);
  }

  by<T extends TableName>(table: T, field: string, value: Id): Tables[T][] {
    return this.#joined(table, this.below.by(table, field, value), () => this.#over.by(table, field, value));
  }

  all<T extends TableName>(table: T): Tables[T][] {
    return this.#joined(table, this.below.all(table), () => this.#over.all(table));
  }

  #joined<T extends TableName>(table: T, stored: Tables[T][], over: () => Tables[T][]): Tables[T][] {
    const own = this.#own.get(table);
    if (!own || own.size === 0) return stored;
    const kept = stored.filter(({ id }) => !own.has(id));
    return [...kept, ...over()].sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));
  }

  write(changes: readonly Written[]): void {
    this.#over.write(changes);
    for (const { table, id, after } of changes) {
      add(this.#own, table, id);
      if (after === null) add(this.#gone, table, id);
      else this.#gone.get(table)?.delete(id);
    }
  }

  /** What stands over the slice below. */
  standing(): Written[] {
    return [...this.#own].flatMap(([table, ids]) =>
      [...ids].map((id) => ({ table, id, after: this.get(table, id) })),
    );
  }

  /** Takes everything away that stands over the slice below, or lays it over another. */
  clear(below: Slice = this.below): void {
    this.below = below;
    this.#over = new MemorySlice();
    this.#gone = new Map();
    this.#own = new Map();
  }
}

function add(map: Map<TableName, Set<Id>>, table: TableName, id: Id): void {
  const ids = map.get(table);
  if (ids) ids.add(id);
  else map.set(table, new Set([id]));
}
