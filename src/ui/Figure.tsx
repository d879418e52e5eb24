import { Button, Fieldset, Text } from '@mantine/core';
import { useState } from 'react';
import { readQuantity, type QuantityId } from '../core/quantity/quantity';
import { quantityFault } from '../core/words/en/quantity';
import { MeasureInput } from './MeasureInput';
import { Toggle } from './Toggle';

/** Figures of a helper as they are typed, each with the number that it reads as. */
export interface Figures<K extends string> {
  text: Readonly<Record<K, string>>;
  set: (name: K, text: string) => void;
  /** The value as it is kept, or null where the text is none. */
  number: (name: K) => number | null;
  /** The length in mm, above 0; null otherwise. */
  length: (name: K) => number | null;
}

/** Keeps the figures of a form; what is typed stays as it is. */
export function useFigures<K extends string>(start: Record<K, string>): Figures<K> {
  const [text, setText] = useState(start);
  const read = (name: K, quantity: QuantityId) => {
    const found = readQuantity(text[name], quantity);
    return 'value' in found ? found.value : null;
  };
  const number = (name: K) => read(name, 'number');
  const length = (name: K) => {
    const mm = read(name, 'length');
    return mm !== null && mm > 0 ? mm : null;
  };
  return { text, set: (name, value) => setText((all) => ({ ...all, [name]: value })), number, length };
}

/** A number as a text that can be typed on. */
export const typed = (value: number | null | undefined, decimals = 2): string =>
  value == null ? '' : String(Math.round(value * 10 ** decimals) / 10 ** decimals);

/** What a unit of a helper's field measures; any other is a plain number. */
const QUANTITY_OF: Readonly<Record<string, QuantityId>> = { mm: 'length' };

/** One figure with its unit; says what is wrong as soon as it is. */
export function Figure<K extends string>({
  figures,
  name,
  title,
  unit,
  zero = false,
}: {
  figures: Figures<K>;
  name: K;
  title: string;
  /** "mm" reads lengths, in inches too. */
  unit: string;
  /** Whether 0 is allowed. */
  zero?: boolean;
}) {
  const quantity = QUANTITY_OF[unit] ?? 'number';
  const text = figures.text[name];
  const read = readQuantity(text, quantity);
  const problem =
    'fault' in read
      ? read.fault === 'empty'
        ? null
        : quantityFault(read.fault, quantity)
      : read.value > 0 || zero
        ? null
        : 'It must be above 0.';
  return (
    <MeasureInput
      quantity={quantity}
      unit={unit === 'mm' ? undefined : unit}
      label={title}
      value={text}
      error={problem}
      onText={(next) => figures.set(name, next)}
    />
  );
}

/** A choice among a few words. */
export function Choice<V extends string>({
  title,
  value,
  options,
  onChange,
}: {
  title: string;
  value: V;
  options: readonly (readonly [value: V, words: string])[];
  onChange: (value: V) => void;
}) {
  return (
    <Fieldset variant="unstyled" legend={title} mb="sm">
      <Button.Group>
        {options.map(([id, words]) => (
          <Toggle key={id} on={id === value} onClick={() => onChange(id)}>
            {words}
          </Toggle>
        ))}
      </Button.Group>
    </Fieldset>
  );
}

/** A verdict in words, with its tone. */
export function Verdict({ good, children }: { good: boolean | null; children: React.ReactNode }) {
  return (
    <Text
      fz={17}
      className={`verdict edge state-${good === null ? 'unread' : good ? 'sound' : 'failed'}`}
      role="status"
    >
      {children}
    </Text>
  );
}
