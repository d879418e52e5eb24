import type { Db } from '../open';
import { Prepared } from '../prepared';
import type { Clause } from './keyset';

/** Letters that a part of a tag has at least, so that its index can be asked. */
const TRIGRAM = 3;
/** Words of a question that are looked at. Chosen: nobody types more to find one thing. */
const MOST_WORDS = 8;
/** A word that so many rows have is none that anybody looks for inside a tag. */
const BROAD = 5000;

/** A word as the full-text index takes it: whatever it holds is no syntax. */
const quoted = (word: string): string => `"${word.replaceAll('"', '""')}"`;

const BEGINS = 'SELECT rowid FROM found_word WHERE found_word MATCH ?';
const HAS = 'SELECT rowid FROM found_tag WHERE found_tag MATCH ?';

const wordsOf = (text: string): string[] =>
  text.replaceAll('\0', ' ').trim().split(/\s+/).filter(Boolean).slice(0, MOST_WORDS);

/** What is looked for: words of a text, as beginnings of words or as parts of titles. */
export class Search {
  readonly #sql: Prepared;

  constructor(db: Db) {
    this.#sql = new Prepared(db);
  }

  /**
   * Rows of `listed` that hold every word of a text.
   *
   * @param row the column that has the number of the row
   * @returns null where nothing is asked
   */
  holding(text: string, row: string): Clause | null {
    const words = wordsOf(text);
    if (words.length === 0) return null;
    // A sign alone is no word: the full-text index would refuse it.
    if (words.some((word) => !/[\p{L}\p{N}]/u.test(word))) return { sql: '0', values: [] };
    const narrow = words.filter((word) => !this.#isBroad(word));
    const inTags = narrow.filter((word) => this.#isInTags(word));
    const begins = words.filter((word) => !inTags.includes(word));
    // Of many rows their own index is gone through in its order; few are fetched one by one.
    const of = narrow.length === 0 ? `+${row}` : row;
    return {
      sql: [
        ...(begins.length > 0 ? [`${of} IN (${BEGINS})`] : []),
        ...inTags.map(() => `${of} IN (${BEGINS} UNION ${HAS})`),
      ].join(' AND '),
      values: [
        ...(begins.length > 0 ? [begins.map((word) => `${quoted(word)}*`).join(' AND ')] : []),
        ...inTags.flatMap((word) => [`${quoted(word)}*`, quoted(word)]),
      ],
    };
  }

  /** The same in parts, what is nearest first: called so, called something that begins so, and all of it. */
  nearest(text: string, row: string): Clause[] {
    const all = this.holding(text, row);
    if (all === null || all.sql === '0') return [];
    const called = (star: string): Clause => ({
      sql: `+${row} IN (${BEGINS})`,
      values: [`{title} : (${wordsOf(text).map((word) => quoted(word) + star).join(' AND ')})`], // prettier-ignore
    });
    return [called(''), called('*'), all];
  }

  #isBroad(word: string): boolean {
    const count = this.#sql.get(`SELECT count(*) FROM (${BEGINS} LIMIT ${BROAD})`).pluck();
    return (count.get(`${quoted(word)}*`) as number) >= BROAD;
  }

  #isInTags(word: string): boolean {
    if ([...word].length < TRIGRAM) return false;
    return this.#sql.get(`${HAS} LIMIT 1`).pluck().get(quoted(word)) !== undefined;
  }
}
