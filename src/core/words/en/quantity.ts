import { QUANTITIES, shownQuantity, type QuantityFault, type QuantityId } from '../../quantity/quantity';
import { figure } from './format';

/** How each quantity is typed, for the sentence that says what to do. */
const EXAMPLE: Record<QuantityId, string> = {
  length: '23.92, 23,92 mm or 15/16 in',
  distance: '12.5 or 40 ft',
  bond: '12, 12 mΩ or 0.012 Ω',
  insulation: '500, 500 MΩ or 1.2 GΩ',
  temperature: '21 or −5',
  torque: '34.5',
  turns: '0.85',
  area: '1.5',
  volume: '1500 or 1.5 dm³',
  content: '50 or 0.5 l',
  minutes: '30 or 1 h',
  hours: '4 or 90 min',
  seconds: '15 or 2 min',
  percent: '15',
  voltage: '500',
  angle: '60',
  number: '12.5',
};

const NOUN: Partial<Record<QuantityId, string>> = {
  length: 'length',
  distance: 'distance',
  bond: 'resistance',
  insulation: 'resistance',
  temperature: 'temperature',
  torque: 'torque',
};

/** What is wrong with a text, and what to type instead. */
export function quantityFault(fault: QuantityFault, quantity: QuantityId): string {
  const noun = NOUN[quantity] ?? 'number';
  const { unit } = QUANTITIES[quantity];
  const such = `Type for example ${EXAMPLE[quantity]}.`;
  switch (fault) {
    case 'empty':
      return `Type a ${noun}${unit ? ` in ${unit}` : ''}, for example ${EXAMPLE[quantity].split(/,? or |, /)[0]!}.`;
    case 'not-a-number':
      return `That is not a ${noun}. ${such}`;
    case 'unknown-unit':
      return `That unit is not one of a ${noun}. ${such}`;
    case 'negative':
      return `A ${noun} cannot be negative.`;
    case 'too-much':
      return `At most ${limit(quantity, QUANTITIES[quantity].most)}.`;
    case 'too-little':
      return `At least ${limit(quantity, (QUANTITIES[quantity] as { least?: number }).least ?? -QUANTITIES[quantity].most)}.`;
    case 'zero-divisor':
      return 'The lower figure of a fraction cannot be 0.';
    case 'fraction-without-unit':
      return 'A fraction needs its unit, for example 15/16 in.';
  }
}

function limit(quantity: QuantityId, value: number): string {
  const { unit } = QUANTITIES[quantity];
  return `${Number(shownQuantity(value, quantity)).toLocaleString('en').replaceAll(',', '\u00a0')}${unit ? ` ${unit}` : ''}`;
}

/** What was understood, in the unit that is shown: "= 23.81 mm". */
export function understood(value: number, quantity: QuantityId): string {
  const { unit } = QUANTITIES[quantity];
  return `= ${figure(Number(shownQuantity(value, quantity)), quantity === 'length' ? 3 : 2)}${unit ? ` ${unit}` : ''}`;
}
