import { apply } from '../core/record/apply';
import type { AnyCommand } from '../core/record/commands';
import { completed } from '../core/record/completed';
import type { RecordChange } from '../core/record/slice';
import { touchedEntries } from '../core/record/touched';
import type { Change, Id, TableName, Tables } from '../core/record/types';
import { assess } from '../core/rulebook/assess';
import { Journal } from './journal';
import { openDatabase, type Db } from './open';
import { People } from './people';
import { Photos } from './photos';
import { TABLES } from '../core/record/tables';
import { Records } from './records';
import { Statuses } from './status';

/** Everything that is kept, behind one door. */
export class Store {
  readonly db: Db;
  readonly records: Records;
  readonly journal: Journal;
  readonly statuses: Statuses;
  readonly photos: Photos;
  readonly people: People;
  readonly #stale = new Set<Id>();

  constructor(file: string, migrations: string) {
    this.db = openDatabase(file, migrations);
    this.records = new Records(this.db);
    this.journal = new Journal(this.db);
    this.statuses = new Statuses(this.db);
    this.photos = new Photos(this.db);
    this.people = new People(this.db);
    this.transaction(() => this.#complete());
  }

  /** Fills in, once, the fields that records of an earlier day were written without. */
  #complete(): void {
    if (!this.records.needCompleting()) return;
    for (const table of TABLES) {
      if (table === 'change') continue;
      for (const record of this.records.all(table)) {
        const after = completed(table, record);
        if (after !== record) this.records.write([{ table, id: record.id, after }]);
      }
    }
    this.records.markCompleted();
    this.refresh(
      this.records.all('entry').map(({ id }) => id),
      '',
    );
  }

  /** Runs a block in one transaction that holds the write lock from its start. */
  transaction<R>(block: () => R): R {
    try {
      return this.db.transaction(block).immediate();
    } catch (error) {
      this.records.forget();
      throw error;
    }
  }

  /** A part of a transaction that can be taken back by itself. */
  savepoint<R>(block: () => R): R {
    try {
      return this.db.transaction(block)();
    } catch (error) {
      this.records.forget();
      throw error;
    }
  }

  /**
   * Applies a command, writes its changes and appends it to the journal; the statuses that it touches are stale
   * until they are settled. The caller holds the transaction.
   *
   * @throws Refusal when the records do not allow it
   */
  commit(
    command: AnyCommand,
    person: string,
    receivedAt: string,
    sent: string,
  ): { seq: number; hash: string } {
    const changes = apply(this.records, command, person);
    this.records.write(changes);
    for (const entry of touchedEntries(this.records, changes, beforeOf(changes))) this.#stale.add(entry);
    return this.journal.append(command, person, receivedAt, sent);
  }

  /** Judges again, once, every entry that commands have touched since the last time; in their transaction. */
  settle(at: string): void {
    const stale = [...this.#stale];
    this.#stale.clear();
    this.refresh(stale, at);
  }

  /** Judges entries again, as at a time, and writes where they stand. */
  refresh(entries: Iterable<Id>, at: string): void {
    for (const id of entries) {
      const entry = this.records.get('entry', id);
      const found = entry && assess(this.records, id, entry.site, at);
      if (!found) {
        this.statuses.remove(id);
        continue;
      }
      this.statuses.put(found.status);
    }
  }

  /** Copies the database while it is in use. */
  backup(file: string): Promise<unknown> {
    return this.db.backup(file);
  }

  close(): void {
    this.db.pragma('wal_checkpoint(TRUNCATE)');
    this.db.close();
  }
}

/** How the records were before a command, from its own record of the change. */
function beforeOf(changes: readonly RecordChange[]): (change: RecordChange) => Tables[TableName] | null {
  const change = changes.find(({ table }) => table === 'change')?.after as Change | undefined;
  return ({ table, id }) =>
    (change?.records.find((record) => record.table === table && record.id === id)?.before as
      Tables[TableName] | undefined) ?? null;
}
