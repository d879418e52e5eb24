import { MAX_LENGTH_MM, parseLength } from './length';

/** What is measured or asked for: each has one parser, and one unit that a plain number is in. */
export const QUANTITIES = {
  /** Lengths on a gland or cable, kept in mm. */
  length: { unit: 'mm', as: 'length', most: MAX_LENGTH_MM },
  /** Lengths of cables and of the plan, kept in m. */
  distance: { unit: 'm', most: 1e6, negative: true, units: { m: 1, km: 1000, cm: 0.01, mm: 0.001, ft: 0.3048 } },
  /** Resistances of bonds and sheaths: typed and shown in mΩ, kept in Ω. */
  bond: { unit: 'mΩ', most: 1e6, units: { mΩ: 0.001, m: 0.001, µΩ: 1e-6, Ω: 1, kΩ: 1000, MΩ: 1e6 }, factor: 0.001 },
  /** Insulation resistances, kept in MΩ. */
  insulation: { unit: 'MΩ', most: 1e9, units: { MΩ: 1, M: 1, mΩ: 1e-9, m: 1e-9, kΩ: 0.001, k: 0.001, GΩ: 1000, G: 1000, TΩ: 1e6, T: 1e6 } },
  temperature: { unit: '°C', most: 5000, least: -273.15, negative: true, units: { '°C': 1, C: 1, '°F': 'fahrenheit', F: 'fahrenheit', K: 'kelvin' } },
  torque: { unit: 'N·m', most: 1e5, units: { 'N·m': 1, Nm: 1, 'N m': 1, 'N*m': 1, 'lbf·ft': 1.3558179483314004, 'lbf ft': 1.3558179483314004 } },
  turns: { unit: 'turns', most: 1000, units: { turns: 1, turn: 1, '°': 1 / 360, deg: 1 / 360 } },
  area: { unit: 'mm²', most: 1e5, units: { 'mm²': 1, mm2: 1, 'cm²': 100, cm2: 100 } },
  volume: { unit: 'cm³', most: 1e9, units: { 'cm³': 1, cm3: 1, ml: 1, 'dm³': 1000, dm3: 1000, l: 1000, L: 1000, 'm³': 1e6, m3: 1e6 } },
  content: { unit: 'ml', most: 1e6, units: { ml: 1, 'cm³': 1, cm3: 1, l: 1000, L: 1000 } },
  minutes: { unit: 'min', most: 1e6, units: { min: 1, h: 60, s: 1 / 60 } },
  hours: { unit: 'h', most: 1e5, units: { h: 1, min: 1 / 60, d: 24 } },
  seconds: { unit: 's', most: 1e6, units: { s: 1, min: 60 } },
  percent: { unit: '%', most: 1000, units: { '%': 1 } },
  voltage: { unit: 'V', most: 1e6, units: { V: 1, kV: 1000 } },
  angle: { unit: '°', most: 360, units: { '°': 1, deg: 1 } },
  /** A figure without a unit: a number of cores, a factor. */
  number: { unit: '', most: 1e9, negative: true, units: {} },
} as const satisfies Record<string, Quantity>; // prettier-ignore

interface Quantity {
  /** Unit that a plain number is in, and that is shown. */
  unit: string;
  /** Largest and smallest that is taken, as it is kept. */
  most: number;
  least?: number;
  negative?: boolean;
  /** Units that may be typed, each with what one of it is as it is kept. */
  units?: Readonly<Record<string, number | 'fahrenheit' | 'kelvin'>>;
  /** What one of the shown unit is as it is kept; 1 where it is left out. */
  factor?: number;
  as?: 'length';
}

export type QuantityId = keyof typeof QUANTITIES;

/** Why a text is no value of a quantity; a sentence stands for each in `core/words`. */
export type QuantityFault = 'empty' | 'not-a-number' | 'unknown-unit' | 'negative' | 'too-much' | 'too-little' | 'zero-divisor' | 'fraction-without-unit'; // prettier-ignore

/** A value as it was typed and as it is kept. */
export interface ReadValue {
  /** As it is kept: mm, m, Ω, MΩ, °C, N·m … */
  value: number;
  /** The text as typed, trimmed. */
  typed: string;
  /** Whether it was typed otherwise than it is shown: in another unit, as a fraction. */
  converted: boolean;
}

const NUMBER = /^([+-]?)(\d+(?:[.,]\d+)?|[.,]\d+)\s*(.*)$/;

/**
 * Reads a value as people write it: `23,9`, `15/16 in`, `12 mΩ`, `12m`, `1.2 GΩ`, `−5 °C`. A plain number is in
 * the unit that the quantity is shown in.
 *
 * @param quantity what is asked for
 * @example readQuantity('12 mohm', 'bond') // { value: 0.012, typed: '12 mohm', converted: false }
 */
export function readQuantity(text: string, quantity: QuantityId): ReadValue | { fault: QuantityFault } {
  const typed = text.trim();
  if (typed === '') return { fault: 'empty' };
  const of: Quantity = QUANTITIES[quantity];
  if (of.as === 'length') return readLength(typed);
  const match = NUMBER.exec(typed.replace('−', '-'));
  if (!match) return { fault: 'not-a-number' };
  const [, sign, digits, unit] = match as unknown as [string, string, string, string];
  const number = Number(digits.replace(',', '.')) * (sign === '-' ? -1 : 1);
  if (number < 0 && !of.negative) return { fault: 'negative' };
  const known = unit === '' ? of.unit : unitOf(unit, of);
  if (known === null) return { fault: /\d/.test(unit) ? 'not-a-number' : 'unknown-unit' };
  const value = inKept(number, known, of);
  if (value > of.most) return { fault: 'too-much' };
  if (value < (of.least ?? -of.most)) return { fault: 'too-little' };
  return { value, typed, converted: known !== of.unit };
}

function readLength(typed: string): ReadValue | { fault: QuantityFault } {
  // Metres are no length of a gland's parts, but people write them.
  const metres = /^(\d+(?:[.,]\d+)?)\s*m$/.exec(typed);
  const read = metres ? parseLength(`${Number(metres[1]!.replace(',', '.')) * 100} cm`) : parseLength(typed);
  if ('mm' in read) return { value: read.mm, typed, converted: !/^[\d.,\s]+(mm)?$/.test(typed) };
  const { fault } = read;
  if (fault === 'too-long') return { fault: 'too-much' };
  if (fault !== 'not-a-length') return { fault };
  return {
    fault: typed.includes('/') && /^[\d\s/-]+$/.test(typed) ? 'fraction-without-unit' : 'not-a-number',
  };
}

/** Ω is on no keyboard: ohm, ohms and R stand for it; upper and lower case count only where they mean something. */
function unitOf(typed: string, { units = {} }: Quantity): string | null {
  const spelt = typed
    .replace(/ohms?$/i, 'Ω')
    .replace(/R$/, 'Ω')
    .replace('μ', 'µ')
    .replace(/^u(?=Ω)/, 'µ')
    .trim();
  for (const name of [spelt, spelt.replace(/\s+/g, ' ')]) if (Object.hasOwn(units, name)) return name;
  const folded = Object.keys(units).filter((name) => name.toLowerCase() === spelt.toLowerCase());
  return folded.length === 1 ? folded[0]! : null;
}

function inKept(number: number, unit: string, { units = {}, factor = 1 }: Quantity): number {
  const of = units[unit];
  if (of === 'fahrenheit') return rounded(((number - 32) * 5) / 9);
  if (of === 'kelvin') return rounded(number - 273.15);
  return rounded(number * (of ?? factor));
}

/** Without the dust of binary fractions: 12 mΩ is 0.012 Ω. */
const rounded = (value: number): number => Number(value.toPrecision(12));

/**
 * Reads several values of one quantity: `21.4 21.5 21.4`, `21,4; 21,5`, `15/16 in; 0.94 in`.
 *
 * @returns the values in order, or the fault of the first that cannot be read; an empty text is no value
 */
export function readQuantities(
  text: string,
  quantity: QuantityId,
): { values: number[] } | { fault: QuantityFault } {
  const plain = text.trim();
  const lettered = /[a-zΩ°"″]/i.test(plain);
  const parts = plain.split(/;|,(?=\s)/).flatMap((part) => (lettered ? [part] : part.split(/\s+/)));
  const values: number[] = [];
  for (const part of parts.filter((one) => one.trim() !== '')) {
    const read = readQuantity(part, quantity);
    if ('fault' in read) return read;
    values.push(read.value);
  }
  return { values };
}

/** A kept value as a text that reads as the same again, in the unit that is shown; empty for null. */
export function shownQuantity(value: number | null | undefined, quantity: QuantityId): string {
  if (value == null) return '';
  const { factor = 1 }: Quantity = QUANTITIES[quantity];
  return String(rounded(value / factor));
}
