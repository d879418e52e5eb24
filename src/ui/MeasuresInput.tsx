import { TextInput } from '@mantine/core';
import { useRef, useState, type RefObject } from 'react';
import { readQuantities, shownQuantity, type QuantityFault } from '../core/quantity/quantity';
import { quantityFault } from '../core/words/en/quantity';
import { useAskBeforeLeaving } from './leaving';

/** Several lengths in one field, mm. */
export interface Measures {
  text: string;
  setText: (text: string) => void;
  /** What stands under the field; null while nothing is wrong or nobody asked. */
  error: string | null;
  /** The lengths, at least one; null where they cannot be read: then the field says why. */
  need: () => number[] | null;
  /** The lengths, or null where something cannot be read; an empty field is none. */
  read: () => number[] | null;
  clear: () => void;
  field: RefObject<HTMLInputElement | null>;
}

/** Keeps several lengths as they are typed, with spaces between. */
export function useMeasures(start: readonly number[] = []): Measures {
  const [text, setText] = useState(() => start.map((mm) => shownQuantity(mm, 'length')).join(' '));
  const [asked, setAsked] = useState<'no' | 'some' | 'any'>('no');
  const field = useRef<HTMLInputElement>(null);
  useAskBeforeLeaving(
    text !== start.map((mm) => shownQuantity(mm, 'length')).join(' ') && text.trim() !== '',
  );
  const found = readQuantities(text, 'length');
  const values = 'values' in found ? found.values : null;
  const need = (least: number, as: 'some' | 'any') => {
    if (values && values.length >= least) return values;
    setAsked(as);
    field.current?.focus();
    return null;
  };
  return {
    text,
    setText,
    error: problemOf(found, asked),
    need: () => need(1, 'some'),
    read: () => need(0, 'any'),
    clear: () => {
      setText('');
      setAsked('no');
    },
    field,
  };
}

function problemOf(
  found: { values: number[] } | { fault: QuantityFault },
  asked: 'no' | 'some' | 'any',
): string | null {
  if (asked === 'no') return null;
  if ('fault' in found) return quantityFault(found.fault, 'length');
  return asked === 'some' && found.values.length === 0
    ? 'Type lengths in mm with spaces between, for example 21.4 21.5 21.4.'
    : null;
}

/** The field of several lengths; says how many it understood. */
export function MeasuresInput({
  label,
  description,
  measures,
}: {
  label: string;
  description?: string;
  measures: Measures;
}) {
  // prettier-ignore
  const { text, setText, error, field } = measures;
  const found = readQuantities(text, 'length');
  const several =
    'values' in found && found.values.length > 1 ? `= ${found.values.length} readings` : undefined;
  return (
    <TextInput
      inputMode="decimal"
      autoComplete="off"
      classNames={{ input: 'figures' }}
      inputWrapperOrder={['label', 'input', 'description', 'error']}
      label={label}
      description={several ?? description}
      value={text}
      error={error}
      ref={field}
      onChange={(event) => setText(event.currentTarget.value)}
    />
  );
}
