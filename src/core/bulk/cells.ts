import { readConcepts } from '../hazard/concept';
import { QUANTITIES, readQuantity } from '../quantity/quantity';
import { quantityFault } from '../words/en/quantity';
import type { Reader } from './columns';

/** What a cell says: a value, with the text where it was written otherwise than it is kept; or why it says none. */
export type CellRead = { value: unknown; typed?: string } | { fault: string };

/** A choice's words as they are compared: whatever their case and what separates them; a comma is a decimal point. */
const folded = (text: string): string =>
  text
    .toLowerCase()
    .replaceAll(',', '.')
    .replace(/[\s_–-]+/g, '');

/** Most values that a sentence names. Chosen: more is a list that nobody reads. */
const MOST_NAMED = 15;

/**
 * Reads a cell that is not blank.
 *
 * @param unit unit of a number that has none; null: the one that the column is in
 */
export function readCell(
  read: Exclude<Reader, { as: 'refers' | 'cores' }>,
  text: string,
  unit: string | null,
): CellRead {
  switch (read.as) {
    case 'text':
      return { value: text };
    case 'measure':
      return readMeasure(read.of, text, unit);
    case 'one':
      return readOne(read, text);
    case 'yes-no':
      if (/^(yes|y|true|1|x|ja|oui|s[ií])$/i.test(text)) return { value: true };
      if (/^(no|n|false|0|nein|non)$/i.test(text)) return { value: false };
      return { fault: `"${text}" is neither yes nor no; leave it blank where it is not known.` };
    case 'concepts': {
      const found = readConcepts(text);
      if ('concepts' in found) return { value: found.concepts };
      return {
        fault: `"${found.unknown}" is no kind of protection; write it as it is marked, for example Ex db eb.`,
      };
    }
    case 'day':
      return readDay(text);
  }
}

function readMeasure(of: keyof typeof QUANTITIES, text: string, unit: string | null): CellRead {
  const written = unit !== null && /^[+\-−]?[\d.,/\s]+$/.test(text) ? `${text} ${unit}` : text;
  const found = readQuantity(written, of);
  if ('fault' in found) return { fault: `"${written}": ${quantityFault(found.fault, of)}` };
  return { value: found.value, ...(found.converted && { typed: found.typed }) };
}

function readOne({ of, called = {} }: Extract<Reader, { as: 'one' }>, text: string): CellRead {
  const wanted = folded(text);
  const found = of.find((value) => {
    const words = called[String(value)] ?? [];
    return [String(value), ...(typeof words === 'string' ? [words] : words)].some(
      (word) => folded(word) === wanted,
    );
  });
  if (found !== undefined) return { value: found };
  const named = of.slice(0, MOST_NAMED).map((value) => {
    const words = called[String(value)];
    return typeof words === 'string' ? words : String(value);
  });
  return { fault: `"${text}" must be one of: ${named.join(', ')}${of.length > MOST_NAMED ? ' …' : ''}.` };
}

/** A day that can be read in one way only: 2026-03-31, 31.3.2026, 31/03/2026; 3/4/2026 is told from nothing. */
function readDay(text: string): CellRead {
  const iso = /^(\d{4})-(\d{2})-(\d{2})/.exec(text);
  const other = /^(\d{1,2})([./-])(\d{1,2})\2(\d{4})$/.exec(text);
  let [year, month, day] = iso ? [iso[1], iso[2], iso[3]].map(Number) : [];
  if (other) {
    const [first, second] = [Number(other[1]), Number(other[3])];
    if (other[2] !== '.' && first <= 12 && second <= 12 && first !== second)
      return { fault: `"${text}" may be two days; write it as year-month-day, for example 2026-03-31.` };
    [year, month, day] = [Number(other[4]), ...(second > 12 ? [first, second] : [second, first])];
  }
  const date = year === undefined ? null : new Date(Date.UTC(year, month! - 1, day));
  if (!date || date.getUTCMonth() !== month! - 1 || date.getUTCDate() !== day)
    return { fault: `"${text}" is no day; write it as year-month-day, for example 2026-03-31.` };
  return { value: date.toISOString().slice(0, 10) };
}
