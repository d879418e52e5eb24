/** Millimetres in an inch, exactly. */
export const MM_PER_INCH = 25.4;

/** Longest length that is taken as one (1 km). Chosen: a longer one is a slip of the finger. */
export const MAX_LENGTH_MM = 1e6;

/** A length as it was typed and as it is kept. */
export interface TypedLength {
  /** Value in millimetres. */
  mm: number;
  /** The text as typed, trimmed. */
  typed: string;
}

/** Why a text is no length; `code` names a sentence in `core/words`. */
export type LengthFault = 'empty' | 'not-a-length' | 'negative' | 'too-long' | 'zero-divisor';

const NUMBER = /^\d+(?:[.,]\d+)?$|^[.,]\d+$/;
const FRACTION = /^(\d+)\s*\/\s*(\d+)$/;
const MIXED = /^(\d+)(?:\s+|-)(\d+)\s*\/\s*(\d+)$/;
const UNIT = /\s*(mm|millimetres?|in|inch|inches|"|″|''|cm)$/i;

/**
 * Reads a length as people write it: `23.92`, `23,92 mm`, `15/16 in`, `1 1/16"`, `.625 in`.
 * Without a unit a decimal number is millimetres; a fraction needs a unit, since 15/16 of what is a guess.
 *
 * @param text what was typed
 * @returns the length in mm (0 to 1e6), or the fault
 * @example parseLength('1 1/16"') // { mm: 26.9875, typed: '1 1/16"' }
 */
export function parseLength(text: string): TypedLength | { fault: LengthFault } {
  const typed = text.trim();
  if (typed === '') return { fault: 'empty' };
  const unit = UNIT.exec(typed)?.[1]?.toLowerCase();
  const body = typed.replace(UNIT, '').trim();
  if (body.startsWith('-') || body.startsWith('−')) return { fault: 'negative' };
  const ratio = readRatio(body);
  if (ratio === null) return { fault: 'not-a-length' };
  const [over, under] = ratio;
  if (under === 0) return { fault: 'zero-divisor' };
  if (body.includes('/') && unit === undefined) return { fault: 'not-a-length' };
  // In whole numbers as long as possible: 7/16 in is 11.1125 mm to the last digit.
  const [many, tenths] = millimetresPer(unit);
  const mm = (over * many) / (under * tenths);
  if (mm > MAX_LENGTH_MM) return { fault: 'too-long' };
  return { mm, typed };
}

/** A number as a ratio; a plain one is over 1. */
function readRatio(body: string): [over: number, under: number] | null {
  if (NUMBER.test(body)) return [Number(body.replace(',', '.')), 1];
  const mixed = MIXED.exec(body);
  if (mixed) return [Number(mixed[1]) * Number(mixed[3]) + Number(mixed[2]), Number(mixed[3])];
  const fraction = FRACTION.exec(body);
  return fraction ? [Number(fraction[1]), Number(fraction[2])] : null;
}

/** Millimetres in a unit, as a ratio of whole numbers. */
function millimetresPer(unit: string | undefined): [many: number, tenths: number] {
  if (unit === undefined || unit.startsWith('mm') || unit.startsWith('milli')) return [1, 1];
  return unit === 'cm' ? [10, 1] : [254, 10];
}
