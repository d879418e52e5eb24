import type { Judged } from '../core/commands/news';
import { ENTRY_STATES } from '../core/record/finding';
import { inOrder, type Clocks } from '../core/makeoff/clocks';
import type { RunningClocks } from '../core/programme/lists';
import { sortKey } from '../core/record/natural';
import { standingState } from '../core/record/standing';
import type { Area, Entry, Id, Standing } from '../core/record/types';
import type { Listed } from '../core/words/en/listed';
import { ListedRows } from './listed';
import type { Db } from './open';
import { Prepared } from './prepared';

/** A row of the index, as it is written. */
export interface IndexRow extends Listed {
  entry: Id;
  body: string;
  day: string;
  name: string;
  area: Id;
  area_name: string;
  enclosure: Id;
  kind: string;
  state: number;
  sealed_at: string | null;
  sealed_state: string | null;
  running_round: Id | null;
  due: string;
  seen: string;
  open_defects: number;
  worst: number;
  changes_at: string | null;
  /** Its {@link Clocks} as JSON; '' where nothing runs. */
  clocks: string;
}

/** What was judged beside the thread that writes. */
export interface JudgedRows {
  /** The number of the index at the moment whose records were judged. */
  generation: number;
  /** Day of judging, ISO. */
  day: string;
  rows: IndexRow[];
  /** Entries of which the index says that already. */
  same: Id[];
  /** Those that are not there. */
  gone: Id[];
}

/** Where an entry lies, and by what it is found. */
export interface EntryPlace {
  entry: Pick<Entry, 'id' | 'kind' | 'enclosure'>;
  area: Pick<Area, 'id' | 'name'>;
  listed: Listed;
  clocks: Clocks;
}

/** The index of lists: where each entry stands, judged again where something has touched it. */
export class Statuses {
  readonly #sql: Prepared;
  readonly #listed: ListedRows;
  /** Marked since the last time, so that nothing is marked twice. */
  readonly #marked = new Set<Id>();
  /** Marked since judging anew has begun beside this thread; null where it has not. */
  #since: Set<Id> | null = null;

  constructor(private readonly db: Db) {
    this.#sql = new Prepared(db);
    this.#listed = new ListedRows(db);
  }

  /** Marks entries to be judged again. */
  markStale(entries: Iterable<Id>): void {
    for (const entry of entries) {
      this.#since?.add(entry);
      if (this.#marked.has(entry)) continue;
      this.#marked.add(entry);
      this.#sql.get('INSERT OR IGNORE INTO stale (entry) VALUES (?)').run(entry);
    }
  }

  /** Marks every entry that was judged so far, however many there are, by one number. */
  markAllStale(): void {
    this.#sql.get('UPDATE judging SET generation = generation + 1').run();
  }

  /** Marks the entries that were never judged. */
  markUnjudged(): void {
    this.db.exec('INSERT OR IGNORE INTO stale (entry) SELECT id FROM entry WHERE id NOT IN (SELECT entry FROM entry_status)'); // prettier-ignore
  }

  /**
   * Marks the entries at which time alone has passed something: a cure, bolts to be tightened again.
   *
   * @returns how many
   */
  markPassed(at: string): number {
    return this.#sql.get('INSERT OR IGNORE INTO stale (entry) SELECT entry FROM entry_status WHERE changes_at <= ?').run(at).changes; // prettier-ignore
  }

  /** Marks may have been taken back. */
  forget(): void {
    this.#marked.clear();
  }

  /** Some of the entries that are marked: those that something touched first. */
  stale(most: number): Id[] {
    const touched = this.touched(most);
    if (touched.length > 0) return touched;
    return this.#sql.get(`SELECT entry FROM entry_status WHERE ${IS_OLD} LIMIT ?`).pluck().all(most) as Id[];
  }

  /** Some of those that something touched. */
  touched(most: number): Id[] {
    return this.#sql.get('SELECT entry FROM stale LIMIT ?').pluck().all(most) as Id[];
  }

  /** How many are marked. */
  countStale(): number {
    return this.#sql.get(COUNT_STALE).pluck().get() as number;
  }

  /** An entry was judged again. */
  unmark(entry: Id): void {
    this.#marked.delete(entry);
    this.#sql.get('DELETE FROM stale WHERE entry = ?').run(entry);
  }

  /** Writes where an entry stands, and what it is found by. */
  put(judged: Judged, place: EntryPlace): void {
    this.putRow(indexRow(judged, place), this.generation);
  }

  /** The number that a status has which is judged now. */
  get generation(): number {
    return this.#sql.get('SELECT generation FROM judging').pluck().get() as number;
  }

  /** Judging anew begins beside this thread: from here on it is known what is marked meanwhile. */
  beginWide(): void {
    this.#since = new Set();
  }

  /** Takes what was judged beside this thread; what was marked meanwhile is judged again. */
  takeWide({ rows, gone, same, day, generation }: JudgedRows): void {
    const isStill = (entry: Id) => !this.#since?.has(entry);
    const changed = rows.filter(({ entry }) => isStill(entry));
    const [left, stood] = [gone.filter(isStill), same.filter(isStill)];
    for (const row of changed) this.putRow(row, generation);
    for (const entry of left) this.remove(entry);
    this.#sql.get(STOOD_ALL).run(generation, day, JSON.stringify(stood));
    const done = [...changed.map(({ entry }) => entry), ...left, ...stood];
    for (const entry of done) this.#marked.delete(entry);
    this.#sql
      .get('DELETE FROM stale WHERE entry IN (SELECT value FROM json_each(?))')
      .run(JSON.stringify(done));
  }

  endWide(): void {
    this.#since = null;
  }

  /** Whether the index says of an entry already what was judged, but for the day and the number. */
  says(row: IndexRow): boolean {
    const known = this.#sql.get(KNOWN).get(row.entry) as Partial<IndexRow> | undefined;
    return known !== undefined && SAID.every((column) => known[column] === row[column]);
  }

  /** Writes a row of the index, where it says something else by now. */
  putRow(index: IndexRow, generation: number): void {
    if (this.says(index)) return void this.#sql.get(STOOD).run(generation, index.day, index.entry);
    const { title, words, ...columns } = index;
    const row = this.#listed.put('entry', columns.entry, { title, words });
    this.#sql.get(PUT).run({ ...columns, row, generation });
  }

  remove(entry: Id): void {
    this.#sql.get('DELETE FROM entry_status WHERE entry = ?').run(entry);
    this.#listed.remove('entry', entry);
  }

  /** Entries that are marked, or were judged before all were marked, of those whose number leaves a rest. */
  marked(part: number, parts: number): Id[] {
    const sql = `SELECT entry FROM entry_status WHERE (${IS_OLD} OR entry IN (SELECT entry FROM stale)) AND row % ? = ?`;
    const known = this.#sql.get(sql).pluck().all(parts, part) as Id[];
    if (part > 0) return known;
    const never = 'SELECT entry FROM stale WHERE entry NOT IN (SELECT entry FROM entry_status)';
    return [...known, ...(this.#sql.get(never).pluck().all() as Id[])];
  }
  /**
   * Where entries stand that nothing has touched since they were judged: each a `Judged`, as JSON.
   *
   * @param of these alone; all without it
   */
  standing(of?: Iterable<Id>): string[] {
    const sql = `SELECT body, day FROM entry_status WHERE NOT ${IS_OLD} AND entry NOT IN (SELECT entry FROM stale)`;
    const rows = (of ? [...of].flatMap((entry) => this.#sql.get(`${sql} AND entry = ?`).all(entry)) : this.#sql.get(sql).all()) as { body: string; day: string }[]; // prettier-ignore
    return rows.map(({ body, day }) => `{"day":${JSON.stringify(day)},"status":${body}}`);
  }

  /** What time runs against on the site, so many at most, those that are due first first. */
  clocks(nowMs: number, most: number): RunningClocks {
    const rows = this.#sql.get("SELECT clocks FROM entry_status WHERE clocks <> ''").pluck().all() as string[];
    const { clocks, late } = inOrder(rows.map((row) => JSON.parse(row) as Clocks), nowMs);
    return { clocks: clocks.slice(0, most), late: late.slice(0, most), of: clocks.length };
  } // prettier-ignore

  all(): Standing[] {
    const rows = this.#sql.get('SELECT body FROM entry_status ORDER BY entry').all();
    return (rows as { body: string }[]).map(({ body }) => JSON.parse(body) as Standing);
  }
}

/** What stands for a day: the initial inspection is due before any, what nothing asks for after all. */
export const [DUE_NOW, DUE_NEVER] = ['0', '9'] as const;

/** What is written of an entry that was judged. */
export const indexRow = ({ day, status }: Judged, { entry, area, listed, clocks }: EntryPlace): IndexRow => ({
  ...listed,
  entry: entry.id,
  body: JSON.stringify(status),
  day,
  name: sortKey(listed.title),
  area: area.id,
  area_name: sortKey(area.name),
  enclosure: entry.enclosure,
  kind: entry.kind,
  state: ENTRY_STATES.indexOf(standingState(status)),
  sealed_at: status.sealed_at,
  sealed_state: status.sealed_state,
  running_round: status.running_round,
  due: status.due ? (status.due.day ?? DUE_NOW) : DUE_NEVER,
  seen: status.at ?? '',
  open_defects: status.open_defects,
  worst: status.worst,
  changes_at: status.changes_at,
  clocks: clocks.clocks.length + clocks.late.length > 0 ? JSON.stringify(clocks) : '',
});

const IS_OLD = '(generation < (SELECT generation FROM judging))';

// Those that are marked twice are looked for among the few that something touched.
const COUNT_STALE = `SELECT (SELECT count(*) FROM entry_status WHERE ${IS_OLD})
  + (SELECT count(*) FROM stale WHERE NOT EXISTS (SELECT 1 FROM entry_status WHERE entry_status.entry = stale.entry AND ${IS_OLD}))`;

const COLUMNS = [
  'entry', 'body', 'day', 'name', 'area', 'area_name', 'enclosure', 'kind', 'state', 'sealed_at', 'sealed_state',
  'running_round', 'due', 'seen', 'open_defects', 'worst', 'changes_at', 'clocks',
]; // prettier-ignore

/** What is compared: the day on which it was judged says nothing of how it stands. */
const SAID = [...COLUMNS.filter((column) => column !== 'day'), 'title', 'words'] as (keyof IndexRow)[];

const KNOWN = `SELECT ${SAID.map((column) => `${column in { title: 1, words: 1 } ? 'listed' : 'entry_status'}.${column}`).join()}
  FROM entry_status JOIN listed ON listed.row = entry_status.row WHERE entry_status.entry = ?`;

const STOOD = 'UPDATE entry_status SET generation = ?, day = ? WHERE entry = ?';
const STOOD_ALL =
  'UPDATE entry_status SET generation = ?, day = ? WHERE entry IN (SELECT value FROM json_each(?))';

const PUT = `INSERT INTO entry_status (row, generation, ${COLUMNS.join()})
  VALUES (@row, @generation, ${COLUMNS.map((column) => `@${column}`).join()})
  ON CONFLICT (row) DO UPDATE SET generation = excluded.generation, ${COLUMNS.map((column) => `${column} = excluded.${column}`).join()}`;
