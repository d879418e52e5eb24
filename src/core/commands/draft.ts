import { Refusal, type AnyCommand } from './commands';
import { completed } from '../record/completed';
import { bare, canonicalHash } from '../record/seal';
import { valuesOf, type RecordChange, type Slice } from '../record/slice';
import type { Base, Change, Id, Lost, TableName, Tables } from '../record/types';

/** What records were hashed to: they are never changed in place. */
const hashes = new WeakMap<Base, Id>();

/** What one command is about to change: reads fall through to the slice, writes are kept with what was before. */
export class Draft implements Slice {
  readonly #written = new Map<string, RecordChange>();
  readonly #byTable = new Map<TableName, Map<Id, RecordChange>>();
  readonly #lost: Change['lost'] = [];

  constructor(
    private readonly slice: Slice,
    readonly command: AnyCommand,
    readonly person: string,
  ) {}

  get<T extends TableName>(table: T, id: Id): Tables[T] | null {
    const written = this.#written.get(`${table} ${id}`);
    return written ? (written.after as Tables[T] | null) : this.slice.get(table, id);
  }

  by<T extends TableName>(table: T, field: string, value: Id): Tables[T][] {
    const stored = this.slice.by(table, field, value);
    const written = this.#byTable.get(table);
    if (!written) return stored;
    const here = [...written.values()].flatMap(({ after }) => (after as Tables[T] | null) ?? []);
    const now = here.filter((record) => valuesOf(record, field).includes(value));
    return [...stored.filter(({ id }) => !written.has(id)), ...now].sort((a, b) => (a.id < b.id ? -1 : 1));
  }

  all<T extends TableName>(table: T): Tables[T][] {
    return this.slice.all(table);
  }

  /** The record, or a refusal that names the field that pointed at nothing. */
  need<T extends TableName>(table: T, id: Id, field: string): Tables[T] {
    const record = this.get(table, id);
    if (!record || record.site !== this.command.site) {
      throw new Refusal('unknown-id', field, 'record.none', { table });
    }
    return record;
  }

  /** Refuses an id that is taken. */
  needFree(table: TableName, id: Id): void {
    if (this.get(table, id)) {
      throw new Refusal('exists', 'id', 'record.exists', { table });
    }
  }

  put<T extends TableName>(table: T, record: Tables[T]): void {
    const after = { ...completed(table, record), rev: this.command.id };
    this.#write(table, record.id, after);
  }

  /** Keeps a value by its content, once; gives its hash. */
  freeze(body: unknown): Id {
    const id = canonicalHash(body);
    if (!this.get('frozen', id)) this.put('frozen', { id, site: this.command.site, body });
    return id;
  }

  /** The same of a record, which is never changed in place: hashed once. */
  freezeRecord(record: Base): Id {
    const known = hashes.get(record);
    if (known && this.get('frozen', known)) return known;
    const id = this.freeze(bare(record));
    hashes.set(record, id);
    return id;
  }

  /** Writes a record as it was, its revision included. */
  restore(table: TableName, id: Id, after: Tables[TableName] | null): void {
    this.#write(table, id, after);
  }

  remove(table: TableName, id: Id): void {
    this.#write(table, id, null);
  }

  #write(table: TableName, id: Id, after: Tables[TableName] | null): void {
    const known = this.#written.get(`${table} ${id}`);
    const change = { table, id, before: known ? known.before : this.slice.get(table, id), after };
    this.#written.set(`${table} ${id}`, change);
    const of = this.#byTable.get(table);
    if (of) of.set(id, change);
    else this.#byTable.set(table, new Map([[id, change]]));
  }

  /** Keeps a value that lost against a later one, for the history. */
  lose(lost: Lost): void {
    this.#lost.push(lost);
  }

  /** The changes, the record of the change itself last. */
  finish(): RecordChange[] {
    const { id, site, kind, at, batch } = this.command;
    const written = [...this.#written.values()];
    const change: Change = {
      id,
      site,
      rev: id,
      kind,
      by: this.person,
      at,
      records: written.map(({ table, id: record, before, after }) => ({
        table,
        id: record,
        before,
        rev: after?.rev ?? null,
      })),
      undone: null,
      lost: this.#lost,
      ...(batch !== undefined && { batch }),
    };
    return [...written, { table: 'change', id, before: null, after: change }];
  }
}
