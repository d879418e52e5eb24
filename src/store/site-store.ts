import { createHash } from 'node:crypto';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ulid } from 'ulid';
import { apply } from '../core/commands/apply';
import type { AnyCommand } from '../core/commands/commands';
import { completed } from '../core/record/completed';
import { clocksOfEntry } from '../core/makeoff/clocks';
import type { RecordChange, Slice } from '../core/record/slice';
import { takeSha256 } from '../core/record/sha256';
import { TABLES } from '../core/record/tables';
import { judgesNothing, touchedEntries } from '../core/commands/touched';
import type { Id, TableName, Tables } from '../core/record/types';
import { RECORDS_VERSION } from '../core/record/version';
import { standingOf } from '../core/programme/standing';
import { entryListed, LISTED_TABLES } from '../core/words/en/listed';
import { Journal, type JournalHead } from './journal';
import { ListedRows } from './listed';
import { EntryList } from './lists/entries';
import { RecordLists } from './lists/records';
import { closeDatabase, DatabaseError, explained, openDatabase, openForReading, type Db } from './open';
import { Photos } from './photos';
import { Records } from './records';
import { hashOfRecords } from './records-hash';
import { Settings } from './settings';
import { indexRow, Statuses, type IndexRow } from './status';

takeSha256((text) => createHash('sha256').update(text).digest('hex'));

/** Name of a site's database in its folder. */
export const SITE_DB = 'site.db';

/** Entries that one transaction judges again at most. */
const MOST_SETTLED = 200;

/** Grows when what lists are found and sorted by is made otherwise. */
const INDEX_VERSION = '3';

/** Lines of a journal that are looked at whenever it is opened. */
const LOOKED_AT = 1000;

/** A command that is to be applied. */
export interface Accepted {
  command: AnyCommand;
  /** The same as canonical JSON. */
  canonical: string;
  person: string;
  receivedAt: string;
  /** Hash of the command as it was sent. */
  sent: string;
}

/** Everything that is kept of one site, behind one door: a file that proves itself alone, and its photos. */
export class SiteStore {
  readonly records: Records;
  readonly journal: Journal;
  readonly statuses: Statuses;
  readonly photos: Photos;
  readonly settings: Settings;
  /** Lists, page by page. */
  readonly entries: EntryList;
  readonly lists: RecordLists;
  readonly #listed: ListedRows;
  /** What lists judge by: as a device does, without the bodies that seals rest on, which verifying looks at. */
  readonly #judged: Slice;

  private constructor(
    readonly id: Id,
    /** The site's folder: its database and its photos. */
    readonly folder: string,
    readonly db: Db,
    held = false,
  ) {
    this.records = new Records(db, !db.readonly ? 'all' : held ? 'shared' : 'none');
    this.journal = new Journal(db);
    this.statuses = new Statuses(db);
    this.photos = new Photos(db);
    this.settings = new Settings(db);
    this.#listed = new ListedRows(db);
    this.#judged = withoutFrozen(this.records);
    this.entries = new EntryList(db);
    this.lists = new RecordLists(db);
  }

  /**
   * Opens a site's folder, making its database when there is none, and brings it to this version.
   *
   * @param migrations folder of the numbered `.sql` files of a site
   * @throws DatabaseError when the database cannot be used
   */
  static open(id: Id, folder: string, migrations: string, at: string): SiteStore {
    const file = join(folder, SITE_DB);
    const store = new SiteStore(id, folder, openDatabase(file, migrations));
    try {
      store.#look(file);
      store.transaction(() => store.#bringUp(at));
      return store;
    } catch (error) {
      store.db.close();
      throw error instanceof DatabaseError ? error : explained(file, error);
    }
  }

  /**
   * Opens a site's folder to look at it only.
   *
   * @param held whether all of it is read in one transaction, so that what was read once may be kept
   */
  static read(id: Id, folder: string, held = false): SiteStore {
    const db = openForReading(join(folder, SITE_DB));
    standInForLater(db);
    if (held) db.exec('BEGIN');
    return new SiteStore(id, folder, db, held);
  }

  static exists(folder: string): boolean {
    return existsSync(join(folder, SITE_DB));
  }

  /** The site's own record; null before its first command, or once that is undone. */
  get site(): Tables['site'] | null {
    return this.records.get('site', this.id);
  }

  /** Names the journal of this file, so that a page notices when the server has another. */
  get journalName(): string {
    return this.settings.made('journal-id', ulid);
  }

  /** What can be seen at once: the newest lines of the chain. Everything is looked at by verifying. */
  #look(file: string): void {
    const { seq } = this.journal.head();
    const broken = this.journal.firstBroken(Math.max(1, seq - LOOKED_AT));
    if (broken)
      throw new DatabaseError(`${file} is damaged at line ${broken.seq} of its journal. The site is not used until it is restored (npm run verify says more, npm run restore puts a backup in its place).`); // prettier-ignore
  }

  /** Records of an earlier version gain what this one knows of; the chain says so, and what they are from there on. */
  #bringUp(at: string): void {
    this.#bringUpIndex();
    const known = this.settings.get('records-version');
    const version = String(RECORDS_VERSION);
    if (known === version) return;
    this.settings.set('records-version', version);
    void this.journalName;
    if (known === null) return;
    for (const table of TABLES) {
      if (table === 'change') continue;
      for (const record of this.records.all(table)) {
        const after = completed(table, record);
        if (after !== record) this.records.write([{ table, id: record.id, before: record, after }]);
      }
    }
    this.checkpoint(at);
    this.statuses.markAllStale();
  }

  /** A file whose lists were made by another version has them made anew. */
  #bringUpIndex(): void {
    if (this.settings.get('index-version') === INDEX_VERSION) return;
    this.settings.set('index-version', INDEX_VERSION);
    for (const table of LISTED_TABLES)
      if (table !== 'entry')
        this.#listed.follow(
          this.records.all(table).map((after) => ({ table, id: after.id, before: null, after })),
        );
    this.statuses.markAllStale();
    this.statuses.markUnjudged();
  }

  /** Writes into the chain what all records are at this line; replay starts here. The caller holds the transaction. */
  checkpoint(at: string): JournalHead {
    const payload = { records: hashOfRecords(this.db), version: RECORDS_VERSION };
    return this.journal.appendOwn({ kind: 'checkpoint', at, payload });
  }

  /** Runs a block in one transaction that holds the write lock from its start. */
  transaction<R>(block: () => R): R {
    this.records.begin();
    try {
      return this.db.transaction(block).immediate();
    } catch (error) {
      this.#forget();
      throw error;
    }
  }

  #forget(): void {
    this.records.forget();
    this.journal.forget();
    this.statuses.forget();
  }

  /**
   * Applies a command, writes its changes and appends it to the journal; the entries that it touches are stale
   * until they are judged again. The caller holds the transaction.
   *
   * @throws Refusal when the records do not allow it
   */
  commit({
    command,
    canonical,
    person,
    receivedAt,
    sent,
  }: Accepted): JournalHead & { changes: RecordChange[] } {
    const changes = apply(this.records, command, person);
    this.records.write(changes);
    this.#listed.follow(changes);
    for (const { table, id, after } of changes)
      if (table === 'entry' && after === null) this.statuses.remove(id);
    // What holds for the whole site is not looked up entry by entry.
    const wide = changes.some((change) => WHOLE_SITE.has(change.table) && !judgesNothing(change));
    if (wide) this.statuses.markAllStale();
    else this.statuses.markStale(touchedEntries(this.records, changes));
    return { ...this.journal.append(command.id, canonical, person, receivedAt, sent), changes };
  }

  /**
   * Judges again some of the entries that commands have touched, in a transaction of its own.
   *
   * @param mostMs how long it may take, ms; one entry is judged in any case
   * @param which all that are stale, or only those that something touched
   * @returns how many are left
   */
  settle(at: string, mostMs: number, which: 'all' | 'touched' = 'all'): number {
    const some = which === 'all' ? this.statuses.stale(MOST_SETTLED) : this.statuses.touched(MOST_SETTLED);
    if (some.length === 0) return this.statuses.countStale();
    const until = performance.now() + mostMs;
    this.transaction(() => {
      for (const id of some) {
        this.refresh([id], at);
        if (performance.now() >= until) break;
      }
    });
    return this.statuses.countStale();
  }

  /** Judges entries again, as at a time, and writes where they stand. */
  refresh(entries: Iterable<Id>, at: string): void {
    const { generation } = this.statuses;
    for (const id of entries) {
      const row = this.judged(id, at);
      if (row) this.statuses.putRow(row, generation);
      else this.statuses.remove(id);
      this.statuses.unmark(id);
    }
  }

  /** What the index says of an entry, judged now; null for one that is not there. */
  judged(id: Id, at: string): IndexRow | null {
    const entry = this.records.get('entry', id);
    const status = entry && standingOf(this.#judged, id, this.id, at);
    const enclosure = status && this.records.get('enclosure', entry.enclosure);
    const area = enclosure && this.records.get('area', enclosure.area);
    if (!area) return null;
    const listed = entryListed(this.records, entry);
    const clocks = clocksOfEntry(this.#judged, this.id, entry);
    return indexRow({ day: at.slice(0, 10), status: status! }, { entry, area, listed, clocks });
  }

  /** What a list of sites says of this one. */
  summary(): SiteSummary {
    const count = (sql: string) => this.db.prepare(sql).pluck().get() as number;
    return {
      entries: count('SELECT count(*) FROM entry'),
      openDefects: count(`SELECT count(*) FROM defect WHERE json_extract(body, '$.state') <> 'closed'`),
      seq: this.journal.head().seq,
    };
  }

  /** @param left whether copying its log into the database is left to a replicator */
  close(left = false): void {
    closeDatabase(this.db, left);
  }
}

const withoutFrozen = (records: Records): Slice => ({
  get: (table, id) => (table === 'frozen' ? null : records.get(table, id)),
  by: (table, field, value) => records.by(table, field, value),
  all: (table) => records.all(table),
});

/** A file that an earlier version has left lacks tables that came since: to its reader they are empty. */
function standInForLater(db: Db): void {
  const there = new Set(db.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").pluck().all());
  if (!there.has('frozen')) db.exec('CREATE TEMP TABLE frozen (id TEXT PRIMARY KEY, body TEXT NOT NULL)');
  if (!there.has('stale')) db.exec('CREATE TEMP TABLE stale (entry TEXT PRIMARY KEY)');
  if (!there.has('round_entries'))
    db.exec(`CREATE TEMP VIEW round_entries AS SELECT one.value AS value, round.id AS record
      FROM main.round AS round, json_each(round.body, '$.entries') AS one`);
}

/** Tables of which one record holds for every entry. */
const WHOLE_SITE: ReadonlySet<TableName> = new Set(['site', 'reference']);

/** What a list of sites says of one. */
export interface SiteSummary {
  entries: number;
  openDefects: number;
  /** Newest line of its journal. */
  seq: number;
}
