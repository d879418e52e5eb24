import { apply } from '../core/record/apply';
import type { AnyCommand } from '../core/record/commands';
import { completed } from '../core/record/completed';
import type { RecordChange } from '../core/record/slice';
import { touchedEntries } from '../core/record/touched';
import type { Change, Id, TableName, Tables } from '../core/record/types';
import { currentRound, dossierOf } from '../core/rulebook/dossier';
import { judge, statusOf } from '../core/rulebook/judge';
import { Journal } from './journal';
import { openDatabase, type Db } from './open';
import { People } from './people';
import { Photos } from './photos';
import { Records, TABLES } from './records';
import { Statuses } from './status';

/** Everything that is kept, behind one door. */
export class Store {
  readonly db: Db;
  readonly records: Records;
  readonly journal: Journal;
  readonly statuses: Statuses;
  readonly photos: Photos;
  readonly people: People;

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
    this.refresh(this.records.all('entry').map(({ id }) => id));
  }

  /** Runs a block in one transaction that holds the write lock from its start. */
  transaction<R>(block: () => R): R {
    return this.db.transaction(block).immediate();
  }

  /**
   * Applies a command, writes its changes and the statuses they touch, and appends it to the journal.
   * The caller holds the transaction.
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
    this.refresh(touchedEntries(this.records, changes, beforeOf(changes)));
    return this.journal.append(command, person, receivedAt, sent);
  }

  /** Judges entries again and writes where they stand. */
  refresh(entries: Iterable<Id>): void {
    for (const id of entries) {
      const entry = this.records.get('entry', id);
      const round = entry && currentRound(this.records, id, entry.site);
      const dossier = entry && dossierOf(this.records, id, round);
      if (!dossier) {
        this.statuses.remove(id);
        continue;
      }
      // The grade of the round decides how much is asked; before the first round everything is.
      const grade = round?.grade ?? 'detailed';
      this.statuses.put(statusOf(dossier, judge(dossier, grade, ''), grade));
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
