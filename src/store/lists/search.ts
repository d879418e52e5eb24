import type { Db } from '../open';
import { Prepared } from '../prepared';
import { all, type Clause } from './keyset';

/** Letters that a part of a tag has at least, so that its index can be asked. */
const TRIGRAM = 3;
/** Words of a question that are looked at. Chosen: nobody types more to find one thing. */
const MOST_WORDS = 8;
/**
 * Chosen: where so many rows answer, their index is gone through in its order; fewer are fetched and sorted. A word that so
 * many rows have is none that anybody looks for inside a tag.
 */
export const BROAD = 5000;

/** Broad words that are remembered. Chosen: a plant has fewer. */
const MOST_KNOWN = 1000;

/** A word as the full-text index takes it: whatever it holds is no syntax. */
const quoted = (word: string): string => `"${word.replaceAll('"', '""')}"`;

const BEGINS = 'SELECT rowid FROM found_word WHERE found_word MATCH ?';
const HAS = 'SELECT rowid FROM found_tag WHERE found_tag MATCH ?';

/** Rows that answer the question that is asked now: the full-text index is asked once, however often they are gone through. */
const HITS = 'CREATE TEMP TABLE IF NOT EXISTS hit (row INTEGER PRIMARY KEY)';

const wordsOf = (text: string): string[] =>
  text.replaceAll('\0', ' ').trim().split(/\s+/).filter(Boolean).slice(0, MOST_WORDS);

/** One letter or digit beside other words is a word of its own: what it begins would be nearly everything. */
const isWhole = (word: string, words: readonly string[]): boolean =>
  [...word].length === 1 && words.length > 1;

/** What holds the words of a question, until the next is asked. */
export interface Held {
  /** As it is counted and fetched by: from what was found. */
  few: Clause;
  /** As an index is gone through in its order: row by row, each looked up among what was found. */
  walked: Clause;
  /** Whether so many rows answer that their order's index is gone through. */
  broad: boolean;
}

/** What is looked for: words of a text, as beginnings of words or as parts of titles. */
export class Search {
  readonly #sql: Prepared;

  constructor(private readonly db: Db) {
    this.#sql = new Prepared(db);
  }

  /**
   * Rows of `listed` that hold every word of a text.
   *
   * @param row the column that has the number of the row
   * @returns null where nothing is asked
   */
  holding(text: string, row: string): Held | null {
    const words = wordsOf(text);
    if (words.length === 0) return null;
    // A sign alone is no word: the full-text index would refuse it.
    if (words.some((word) => !/[\p{L}\p{N}]/u.test(word))) return heldBy(row, 0);
    const narrow = words.filter((word) => !isWhole(word, words) && !this.#isBroad(word));
    const inTags = narrow.filter((word) => this.#isInTags(word));
    const begins = words.filter((word) => !inTags.includes(word));
    const asked = begins.map((word) => quoted(word) + (isWhole(word, words) ? '' : '*')).join(' AND ');
    const parts = [
      ...(begins.length > 0 ? [{ sql: `rowid IN (${BEGINS})`, values: [asked] }] : []),
      ...inTags.map((word) => ({ sql: `rowid IN (${BEGINS} UNION ${HAS})`, values: [`${quoted(word)}*`, quoted(word)] })),
    ];
    // One part alone is what was found; of several, what all have.
    return heldBy(row, this.#gather(parts.length === 1 && inTags.length === 0 ? { sql: BEGINS, values: [asked] } : inListed(all(parts))));
  } // prettier-ignore

  /**
   * The same in parts, what is nearest first: called so, called something that begins so, and all of it. Each counts
   * until the next is taken.
   */
  *nearest(text: string, row: string): Generator<Held> {
    const words = wordsOf(text);
    if (words.length === 0 || words.some((word) => !/[\p{L}\p{N}]/u.test(word))) return;
    for (const star of ['', '*']) {
      const asked = `{title} : (${words.map((word) => quoted(word) + star).join(' AND ')})`;
      const many = this.#gather({ sql: BEGINS, values: [asked] });
      if (many > 0) yield heldBy(row, many);
    }
    yield this.holding(text, row)!;
  }

  /** Finds what answers, in place of what was found before. @returns how many */
  #gather({ sql, values }: Clause): number {
    this.db.exec(HITS);
    this.#sql.get('DELETE FROM temp.hit').run();
    return this.#sql.get(`INSERT INTO temp.hit ${sql}`).run(...values).changes;
  }

  /** Words that so many rows have: more entries make it no fewer. */
  readonly #broad = new Set<string>();

  #isBroad(word: string): boolean {
    if (this.#broad.has(word)) return true;
    const some = this.#sql.get(`SELECT count(*) FROM (${BEGINS} LIMIT ${BROAD})`).pluck();
    const is = (some.get(`${quoted(word)}*`) as number) >= BROAD;
    if (is && this.#broad.size < MOST_KNOWN) this.#broad.add(word);
    return is;
  }

  #isInTags(word: string): boolean {
    if ([...word].length < TRIGRAM) return false;
    return this.#sql.get(`${HAS} LIMIT 1`).pluck().get(quoted(word)) !== undefined;
  }
}

const inListed = ({ sql, values }: Clause): Clause => ({
  sql: `SELECT row FROM listed WHERE ${sql}`,
  values,
});

function heldBy(row: string, many: number): Held {
  if (many === 0) return { few: NONE, walked: NONE, broad: false };
  const few = { sql: `${row} IN (SELECT row FROM temp.hit)`, values: [] };
  const broad = many >= BROAD;
  // The sign keeps the planner from fetching each row that was found.
  return { few, walked: broad ? { sql: `+${few.sql}`, values: [] } : few, broad };
}

const NONE: Clause = { sql: '0', values: [] };
