import type { Db } from '../open';
import { Prepared } from '../prepared';
import type { Clause } from './keyset';

/** Letters that a part of a tag has at least, so that its index can be asked. */
const TRIGRAM = 3;
/** Words of a question that are looked at. Chosen: nobody types more to find one thing. */
const MOST_WORDS = 8;
/**
 * Chosen: where so many rows answer, their index is gone through in its order; fewer are fetched and sorted. A word that so
 * many rows have is none that anybody looks for inside a tag.
 */
export const BROAD = 5000;

/** A word as the full-text index takes it: whatever it holds is no syntax. */
const quoted = (word: string): string => `"${word.replaceAll('"', '""')}"`;

const BEGINS = 'SELECT rowid FROM found_word WHERE found_word MATCH ?';
const HAS = 'SELECT rowid FROM found_tag WHERE found_tag MATCH ?';

const wordsOf = (text: string): string[] =>
  text.replaceAll('\0', ' ').trim().split(/\s+/).filter(Boolean).slice(0, MOST_WORDS);

/** One letter or digit beside other words is a word of its own: what it begins would be nearly everything. */
const isWhole = (word: string, words: readonly string[]): boolean =>
  [...word].length === 1 && words.length > 1;

/** A clause, and whether so many rows answer it that their order's index is gone through. */
export interface Held extends Clause {
  broad: boolean;
}

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
  holding(text: string, row: string): Held | null {
    const words = wordsOf(text);
    if (words.length === 0) return null;
    // A sign alone is no word: the full-text index would refuse it.
    if (words.some((word) => !/[\p{L}\p{N}]/u.test(word))) return { sql: '0', values: [], broad: false };
    const narrow = words.filter((word) => !isWhole(word, words) && !this.#isBroad(word));
    const inTags = narrow.filter((word) => this.#isInTags(word));
    const begins = words.filter((word) => !inTags.includes(word));
    // Of many rows their own index is gone through in its order; few are fetched one by one.
    const broad = narrow.length === 0;
    const of = broad ? `+${row}` : row;
    return {
      broad,
      sql: [
        ...(begins.length > 0 ? [`${of} IN (${BEGINS})`] : []),
        ...inTags.map(() => `${of} IN (${BEGINS} UNION ${HAS})`),
      ].join(' AND '),
      values: [
        ...(begins.length > 0
          ? [begins.map((word) => quoted(word) + (isWhole(word, words) ? '' : '*')).join(' AND ')]
          : []),
        ...inTags.flatMap((word) => [`${quoted(word)}*`, quoted(word)]),
      ],
    };
  }

  /** The same in parts, what is nearest first: called so, called something that begins so, and all of it. */
  nearest(text: string, row: string): Held[] {
    const all = this.holding(text, row);
    if (all === null || all.sql === '0') return [];
    const called = (star: string): Held[] => {
      const asked = `{title} : (${wordsOf(text)
        .map((word) => quoted(word) + star)
        .join(' AND ')})`;
      const many = this.#count(asked);
      if (many === 0) return [];
      const broad = many >= BROAD;
      return [{ sql: `${broad ? '+' : ''}${row} IN (${BEGINS})`, values: [asked], broad }];
    };
    return [...called(''), ...called('*'), all];
  }

  #isBroad(word: string): boolean {
    return this.#count(`${quoted(word)}*`) >= BROAD;
  }

  /** How many rows answer, as far as it matters. */
  #count(asked: string): number {
    return this.#sql.get(`SELECT count(*) FROM (${BEGINS} LIMIT ${BROAD})`).pluck().get(asked) as number;
  }

  #isInTags(word: string): boolean {
    if ([...word].length < TRIGRAM) return false;
    return this.#sql.get(`${HAS} LIMIT 1`).pluck().get(quoted(word)) !== undefined;
  }
}
