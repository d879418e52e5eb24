/** Half of a pair of code units without the other: no text, and nothing can be written of it. */
const LONE_SURROGATE = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;
/** Control characters other than tab and ends of lines, and those that turn the direction of what follows. */

const CONTROL = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F-\u009F\u202A-\u202E\u2066-\u2069]/;
/** Letters that take no room, so that two names look the same; soft hyphen, joiners, marks of direction among them. */
const INVISIBLE = /[\u00AD\u034F\u061C\u115F\u1160\u17B4\u17B5\u180B-\u180F\u200B-\u200F\u2060-\u2065\u206A-\u206F\u3164\uFE00-\uFE0F\uFEFF\uFFA0]/; // prettier-ignore

/** Why a text cannot be kept as it is; null when it can. */
export function textLetters(text: string): string | null {
  if (LONE_SURROGATE.test(text)) return 'holds half a letter; type it again';
  const found = CONTROL.exec(text);
  return found ? `holds a control character (${codeOf(found[0])}); take it out` : null;
}

/** Why a name cannot be kept: it is one line of letters that can be seen. */
export function nameLetters(text: string): string | null {
  const wrong = textLetters(text);
  if (wrong) return wrong;
  if (/[\t\r\n]/.test(text)) return 'must be one line';
  const found = INVISIBLE.exec(text);
  return found ? `holds a letter that cannot be seen (${codeOf(found[0])}); type it again` : null;
}

const codeOf = (letter: string) => `U+${letter.charCodeAt(0).toString(16).toUpperCase().padStart(4, '0')}`;

/** Letters of other alphabets that look like Latin ones. */
const LOOKS_LIKE: Record<string, string> = Object.fromEntries(
  [
    ['а', 'a'], ['в', 'b'], ['с', 'c'], ['ԁ', 'd'], ['е', 'e'], ['һ', 'h'], ['н', 'h'], ['і', 'i'], ['ј', 'j'], ['к', 'k'],
    ['м', 'm'], ['о', 'o'], ['р', 'p'], ['ѕ', 's'], ['т', 't'], ['у', 'y'], ['х', 'x'], ['ѵ', 'v'], ['ԝ', 'w'],
    ['α', 'a'], ['β', 'b'], ['ε', 'e'], ['η', 'h'], ['ι', 'i'], ['κ', 'k'], ['μ', 'm'], ['ν', 'v'], ['ο', 'o'], ['ρ', 'p'],
    ['τ', 't'], ['υ', 'y'], ['χ', 'x'], ['ζ', 'z'], ['ı', 'i'], ['0', 'o'], ['1', 'l'], ['|', 'l'],
  ] as const,
); // prettier-ignore

/** What a name looks like: two names of one look cannot be told apart by people. */
export const lookOf = (name: string): string =>
  [...name.normalize('NFKD').toLowerCase()]
    .map((letter) => LOOKS_LIKE[letter] ?? letter)
    .join('')
    .replace(/[\p{M}\p{Z}\p{P}\p{C}]/gu, '');
