import { addDays } from '../../core/record/calendar';
import { ENTRY_STATES, type EntryState } from '../../core/record/finding';
import { DUE_WHENS, SOON_DAYS, type DueWhen } from '../../core/programme/due-when';
import type {
  AreaCounts,
  AreaMarks,
  EntryAsk,
  EntryCounts,
  EntryRow,
  EntrySort,
  ListPage,
} from '../../core/programme/lists';
import type { KindId } from '../../core/record/kind-ids';
import type { Id, Standing } from '../../core/record/types';
import type { Db } from '../open';
import { Prepared } from '../prepared';
import { DUE_NEVER, DUE_NOW, Statuses } from '../status';
import { all, keyOf, tokenOf, type Clause, type Key } from './keyset';
import { BROAD, Search } from './search';

/** Columns of each order; the number of the row follows them. */
const SORTS: Record<EntrySort, readonly string[]> = {
  tag: ['s.name'],
  area: ['s.area_name', 's.name'],
  state: ['s.state', 's.name'],
  due: ['s.due', 's.name'],
  time: ['s.seen'],
};

interface Row {
  row: number;
  entry: Id;
  title: string;
  words: string;
  kind: KindId;
  enclosure: Id;
  area: Id;
  area_title: string | null;
  body: string;
}

/** The list of the entries of a site, read from its index. */
export class EntryList {
  readonly #sql: Prepared;
  readonly #statuses: Statuses;
  readonly #search: Search;

  constructor(db: Db) {
    this.#search = new Search(db);
    this.#sql = new Prepared(db);
    this.#statuses = new Statuses(db);
  }

  /** @returns null where `after` is no place of this list */
  page(ask: EntryAsk): ListPage<EntryRow> | null {
    const columns = SORTS[ask.sort];
    const place = ask.after === null ? null : keyOf(ask.after, columns.length + 1);
    if (ask.after !== null && place === null) return null;
    const held = this.#search.holding(ask.q, 's.row');
    const matching = this.#count(all([onlyOf(ask, ''), held && held.few]));
    // Of many the order’s own index is gone through; few are fetched by what they have in common, and sorted.
    const broad = matching >= BROAD;
    const only = all([onlyOf(ask, broad ? '+' : ''), held && (broad ? held.walked : held.few)]);
    const { sql, values } = all([only, place && after(ask.sort, columns, place)]);
    const rows = this.#sql
      .get(
        `SELECT s.row, s.entry, l.title, l.words, s.kind, s.enclosure, s.area, area.name AS area_title, s.body,
           ${columns.join()} FROM entry_status s JOIN listed l ON l.row = s.row LEFT JOIN area ON area.id = s.area
         WHERE ${sql} ORDER BY ${orderOf(ask.sort, columns)} LIMIT ?`,
      )
      .raw()
      .all(...values, ask.limit + 1) as (string | number)[][];
    const shown = rows.slice(0, ask.limit);
    const last = rows.length > ask.limit ? shown.at(-1)! : null;
    return {
      rows: shown.map(rowOf),
      next: last && tokenOf([...last.slice(WIDTH), last[0]!]),
      matching: place ? null : matching,
      judging: this.#statuses.countStale(),
    };
  }

  #count({ sql, values }: Clause): number {
    return this.#sql
      .get(`SELECT count(*) FROM entry_status s WHERE ${sql}`)
      .pluck()
      .get(...values) as number;
  }

  /** The same of each area that has entries. */
  areas(today: string): AreaCounts[] {
    const rows = this.#sql
      .get(
        `SELECT area, state, count(*) AS n, sum(open_defects) AS open, sum(due > ? AND due < ?) AS overdue
         FROM entry_status GROUP BY area, state`,
      )
      .all(DUE_NOW, today) as { area: Id; state: number; n: number; open: number; overdue: number }[];
    const areas = new Map<Id, AreaCounts>();
    for (const { area, state, n, open, overdue } of rows) {
      const none = Object.fromEntries(ENTRY_STATES.map((one) => [one, 0])) as AreaCounts['state'];
      const own = areas.get(area) ?? { area, state: none, open: 0, overdue: 0 };
      own.state[ENTRY_STATES[state]!] = n;
      areas.set(area, { ...own, open: own.open + open, overdue: own.overdue + overdue });
    }
    return [...areas.values()];
  }

  /** Enclosures of an area, each by the worst of its entries; the worst first. */
  marks(area: Id, most: number): AreaMarks {
    const rows = this.#sql
      .get(
        `SELECT one.*, json_extract(body, '$.tag') AS tag, json_extract(body, '$.positionM.x') AS x, json_extract(body, '$.positionM.y') AS y
         FROM (SELECT enclosure, min(state) AS state, entry, kind, count(*) AS n, count(*) OVER () AS total
               FROM entry_status WHERE area = ? GROUP BY enclosure ORDER BY 2, 1 LIMIT ?) one
         JOIN enclosure ON enclosure.id = one.enclosure`,
      )
      .all(area, most) as { enclosure: Id; state: number; entry: Id; kind: KindId; n: number; total: number; tag: string; x: number; y: number }[];
    const marks = rows.map(({ enclosure, state, entry, kind, n, tag, x, y }) => ({
      id: enclosure, tag, x, y, entries: n, worst: { id: entry, kind, state: ENTRY_STATES[state]! },
    }));
    return { marks, of: rows[0]?.total ?? 0 };
  } // prettier-ignore

  /** How many entries are in which state, and due when. */
  counts(today: string): EntryCounts {
    const states = this.#sql.get('SELECT state, count(*) AS n FROM entry_status GROUP BY state').all() as {
      state: number;
      n: number;
    }[];
    const state = Object.fromEntries(
      ENTRY_STATES.map((one, i) => [one, states.find((row) => row.state === i)?.n ?? 0]),
    ) as Record<EntryState, number>;
    const due = Object.fromEntries(
      DUE_WHENS.map((when) => [when, this.#count(dueClause(when, today, ''))]),
    ) as Record<DueWhen, number>;
    const of = Object.values(state).reduce((sum, n) => sum + n, 0);
    return { of, state, due, judging: this.#statuses.countStale() };
  }
}

/** Columns of a row before those that it is sorted by. */
const WIDTH = 9;

function rowOf(values: (string | number)[]): EntryRow {
  const [row, entry, title, words, kind, enclosure, area, area_title, body] = values;
  const one = { row, entry, title, words, kind, enclosure, area, area_title, body } as unknown as Row;
  return {
    id: one.entry,
    title: one.title,
    words: one.words,
    kind: one.kind,
    enclosure: one.enclosure,
    area: { id: one.area, name: one.area_title ?? '' },
    status: JSON.parse(one.body) as Standing,
  };
}

/** @param by `+` keeps the planner from the index of a column */
function onlyOf({ state, area, kinds, due, today }: EntryAsk, by: '' | '+'): Clause {
  const is = (column: string, value: string | number | null): Clause | null =>
    value === null ? null : { sql: `${by}${column} = ?`, values: [value] };
  return all([
    is('s.state', state && ENTRY_STATES.indexOf(state)),
    is('s.area', area),
    kinds && { sql: `${by}s.kind IN (${kinds.map(() => '?').join()})`, values: [...kinds] },
    due && dueClause(due, today, by),
  ]);
}

function dueClause(when: DueWhen, today: string, by: '' | '+'): Clause {
  const soon = addDays(today, SOON_DAYS);
  if (when === 'initial') return { sql: `${by}s.due = ?`, values: [DUE_NOW] };
  if (when === 'overdue') return { sql: `${by}s.due > ? AND ${by}s.due < ?`, values: [DUE_NOW, today] };
  if (when === 'soon') return { sql: `${by}s.due >= ? AND ${by}s.due <= ?`, values: [today, soon] };
  return { sql: `${by}s.due > ? AND ${by}s.due < ?`, values: [soon, DUE_NEVER] };
}

const orderOf = (sort: EntrySort, columns: readonly string[]): string =>
  sort === 'time' ? 's.seen DESC, s.row' : [...columns, 's.row'].join();

function after(sort: EntrySort, columns: readonly string[], key: Key): Clause {
  // The newest stands first: a row value cannot be compared in two directions.
  if (sort === 'time')
    return { sql: 's.seen < ? OR (s.seen = ? AND s.row > ?)', values: [key[0]!, key[0]!, key[1]!] };
  return { sql: `(${[...columns, 's.row'].join()}) > (${key.map(() => '?').join()})`, values: key };
}
