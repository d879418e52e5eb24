import type { DefectRow, ListAsk, ListPage, Found } from '../../core/programme/lists';
import { DEFECT_STATES, type DefectState, type Id, type Tables } from '../../core/record/types';
import { LISTED_TABLES } from '../../core/words/en/listed';
import type { Db } from '../open';
import { Prepared } from '../prepared';
import { all, keyOf, tokenOf, type Clause } from './keyset';
import { BROAD, Search, type Held } from './search';

/** What is asked of the list of defects; null lets everything through. */
export interface DefectAsk extends ListAsk {
  /** `unproven`: any but proven. */
  state: DefectState | 'unproven' | null;
  severity: number | null;
  entry: Id | null;
  sort: 'due' | 'severity';
}

/** Named one by one, so that their index is asked. */
const UNPROVEN = `r.state IN (${DEFECT_STATES.filter((state) => state !== 'proven').map((state) => `'${state}'`).join()})`; // prettier-ignore

/** Lists of records as they are kept, page by page. */
export class RecordLists {
  readonly #sql: Prepared;
  readonly #search: Search;

  constructor(db: Db) {
    this.#search = new Search(db);
    this.#sql = new Prepared(db);
  }

  /** Enclosures, cables, certificates or rounds by what they are called. @returns null where `after` is no place of this list */
  named<T extends 'enclosure' | 'cable' | 'certificate' | 'round'>(
    table: T,
    ask: ListAsk,
  ): ListPage<Tables[T]> | null {
    const held = this.#search.holding(ask.q, 'l.row');
    const every = { sql: 'l.of_table = ?', values: [table] };
    const found = held && all([{ sql: '+l.of_table = ?', values: [table] }, held.few]);
    // Few are fetched from what was found; of many their index is gone through.
    const only = !found ? every : this.#isBroad(held!, table) ? all([every, held!.walked]) : found;
    return this.#page<Tables[T]>(ask, only, found ?? every, {
      from: `listed l JOIN ${table} r ON r.id = l.id`,
      counted: 'listed l',
      columns: ['l.name', 'l.row'],
      order: 'l.name, l.row',
      after: '(l.name, l.row) > (?, ?)',
    });
  }

  /** Defects, those due first or the worst first. @returns null where `after` is no place of this list */
  defects(ask: DefectAsk): ListPage<DefectRow> | null {
    const { state, severity, entry } = ask;
    const held = this.#search.holding(ask.q, "(SELECT row FROM listed WHERE of_table = 'defect' AND listed.id = r.id)"); // prettier-ignore
    const only = all([
      state === 'unproven' ? { sql: UNPROVEN, values: [] } : state && { sql: 'r.state = ?', values: [state] },
      severity === null ? null : { sql: 'r.severity = ?', values: [severity] },
      entry === null ? null : { sql: 'r.entry = ?', values: [entry] },
      held && held.few,
    ]);
    const worst = ask.sort === 'severity';
    const page = this.#page<Tables['defect']>(ask, only, only, {
      from: 'defect r',
      counted: 'defect r',
      columns: worst ? ['-r.severity', 'r.due', 'r.id'] : ['r.due', 'r.id'],
      order: worst ? 'r.severity DESC, r.due, r.id' : 'r.due, r.id',
      after: worst ? '(-r.severity, r.due, r.id) > (?, ?, ?)' : '(r.due, r.id) > (?, ?)',
    });
    const title = this.#sql.get("SELECT title FROM listed WHERE of_table = 'entry' AND id = ?").pluck();
    return page && { ...page, rows: page.rows.map((one) => ({ ...one, where: (title.get(one.entry) as string | undefined) ?? '' })) }; // prettier-ignore
  }

  /** What was done on the site, the newest first. @returns null where `after` is no place of this list */
  history(ask: ListAsk): ListPage<Tables['change']> | null {
    return this.#page<Tables['change']>(ask, all([]), all([]), {
      from: 'change r',
      counted: 'change r',
      columns: ['r.id'],
      order: 'r.id DESC',
      after: 'r.id < ?',
    });
  }

  /** Whether so many rows of a table were found that its own index is gone through. */
  #isBroad({ broad, few }: Held, table: string): boolean {
    if (!broad) return false;
    const some = `SELECT count(*) FROM (SELECT 1 FROM listed l WHERE +l.of_table = ? AND ${few.sql} LIMIT ${BROAD})`;
    return (this.#sql.get(some).pluck().get(table, ...few.values) as number) >= BROAD;
  } // prettier-ignore

  #page<R>(
    { after, limit }: ListAsk,
    only: Clause,
    counted: Clause,
    list: { from: string; counted: string; columns: readonly string[]; order: string; after: string },
  ): ListPage<R> | null {
    const place = after === null ? null : keyOf(after, list.columns.length);
    if (after !== null && place === null) return null;
    const { sql, values } = all([only, place && { sql: list.after, values: place }]);
    const rows = this.#sql
      .get(`SELECT r.body, ${list.columns.join()} FROM ${list.from} WHERE ${sql} ORDER BY ${list.order} LIMIT ?`)
      .raw()
      .all(...values, limit + 1) as [string, ...(string | number)[]][];
    const shown = rows.slice(0, limit);
    return {
      rows: shown.map(([body]) => JSON.parse(body) as R),
      next: rows.length > limit ? tokenOf(shown.at(-1)!.slice(1)) : null,
      matching: place ? null : (this.#sql.get(`SELECT count(*) FROM ${list.counted} WHERE ${counted.sql}`).pluck().get(...counted.values) as number),
      judging: 0,
    };
  } // prettier-ignore

  /** What holds every word of a text: what is called so first, then the rest; of each entries before the others. */
  search(text: string, most: number): Found[] {
    const found = new Map<string, Found>();
    for (const held of this.#search.nearest(text, 'l.row')) {
      for (const one of this.#found(held, most)) {
        const key = `${one.table} ${one.id}`;
        found.set(key, found.get(key) ?? one);
        // Nothing is looked for that nobody sees.
        if (found.size >= most) return [...found.values()];
      }
    }
    return [...found.values()];
  }

  /** Few are sorted as they are; of many each table's own index is gone through in its order. */
  *#found(held: Held, most: number): Generator<Found> {
    const { few, walked, broad } = held;
    const select = 'SELECT l.of_table AS "table", l.id, l.title, l.words, s.kind FROM listed l LEFT JOIN entry_status s ON s.row = l.row WHERE'; // prettier-ignore
    if (!broad) {
      const rank = LISTED_TABLES.map((table, i) => `WHEN '${table}' THEN ${i}`).join(' ');
      const sorted = `${select} ${few.sql} ORDER BY CASE l.of_table ${rank} END, l.name, l.row LIMIT ?`;
      yield* this.#sql.get(sorted).all(...few.values, most) as Found[];
      return;
    }
    for (const table of LISTED_TABLES) {
      const one = this.#isBroad(held, table) ? all([{ sql: 'l.of_table = ?', values: [table] }, walked]) : all([{ sql: '+l.of_table = ?', values: [table] }, few]); // prettier-ignore
      yield* this.#sql.get(`${select} ${one.sql} ORDER BY l.name, l.row LIMIT ?`).all(...one.values, most) as Found[]; // prettier-ignore
    }
  }
}
