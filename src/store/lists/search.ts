import type { Clause } from './keyset';

/** Letters that a part of a tag has at least, so that its index can be asked. */
const TRIGRAM = 3;
/** Words of a question that are looked at. Chosen: nobody types more to find one thing. */
const MOST_WORDS = 8;

/** A word as the full-text index takes it: whatever it holds is no syntax. */
const quoted = (word: string): string => `"${word.replaceAll('"', '""')}"`;

/**
 * Rows of `listed` that hold every word of a text: as the beginning of a word, or as a part of the title.
 *
 * @param row the column that has the number of the row
 * @returns null where nothing is asked
 */
export function holding(text: string, row: string): Clause | null {
  const words = text.replaceAll('\0', ' ').trim().split(/\s+/).filter(Boolean).slice(0, MOST_WORDS);
  if (words.length === 0) return null;
  const each = words.map((word): Clause => {
    const begins = 'SELECT rowid FROM found_word WHERE found_word MATCH ?';
    const has = 'SELECT rowid FROM found_tag WHERE found_tag MATCH ?';
    // A sign alone is no word: the full-text index would refuse it.
    const isWord = /[\p{L}\p{N}]/u.test(word);
    if (!isWord) return { sql: '0', values: [] };
    if ([...word].length < TRIGRAM) return { sql: `${row} IN (${begins})`, values: [`${quoted(word)}*`] };
    return { sql: `${row} IN (${begins} UNION ${has})`, values: [`${quoted(word)}*`, quoted(word)] };
  });
  return { sql: each.map(({ sql }) => sql).join(' AND '), values: each.flatMap(({ values }) => values) };
}
