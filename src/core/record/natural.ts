/** Digits that a number in a tag may have. Chosen: more than any tag has. */
const DIGITS = 12;

/**
 * A tag as a text that sorts as people count, letters alike whether small or large.
 *
 * @example sortKey('JB-9') < sortKey('jb-10') // true
 */
export const sortKey = (tag: string): string =>
  tag.toLowerCase().replace(/\d+/g, (digits) => digits.replace(/^0+(?=\d)/, '').padStart(DIGITS, '0'));
