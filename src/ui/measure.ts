import { useRef, useState, type RefObject } from 'react';
import { readQuantity, shownQuantity, type QuantityId } from '../core/quantity/quantity';
import { useAskBeforeLeaving } from './leaving';
import { quantityFault } from '../core/words/en/quantity';

/** One figure of a small form: its text, what it reads as, and what is wrong once it has been asked for. */
export interface Measure {
  quantity: QuantityId;
  text: string;
  setText: (text: string) => void;
  /** As it is kept; null where it is empty or cannot be read. */
  value: number | null;
  /** Whether something is typed that cannot be read. */
  faulty: boolean;
  /** What stands under the field; null while nothing is wrong or nobody asked. */
  error: string | null;
  /** The value, or null: then the field says what is missing, and has the focus. */
  need: () => number | null;
  clear: () => void;
  field: RefObject<HTMLInputElement | null>;
}

/**
 * Keeps one figure as it is typed.
 *
 * @param start what stands there first: a figure that the records know, never one that somebody must have seen
 * @param rule what is wrong with a value that could be read, in words; null where nothing is
 */
export function useMeasure(
  quantity: QuantityId,
  start: number | null = null,
  rule: (value: number) => string | null = () => null,
): Measure {
  const [text, setText] = useState(() => shownQuantity(start, quantity));
  const [asked, setAsked] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  useAskBeforeLeaving(text.trim() !== '' && text !== shownQuantity(start, quantity));
  const read = readQuantity(text, quantity);
  const problem = 'fault' in read ? quantityFault(read.fault, quantity) : rule(read.value);
  const value = 'value' in read && problem === null ? read.value : null;
  return {
    quantity,
    text,
    setText,
    value,
    faulty: text.trim() !== '' && problem !== null,
    error: asked ? problem : null,
    need: () => {
      if (value === null) {
        setAsked(true);
        field.current?.focus();
      }
      return value;
    },
    clear: () => {
      setText('');
      setAsked(false);
    },
    field,
  };
}

/** What a `MeasureInput` needs of a figure. */
export const fieldOf = (measure: Measure) => ({
  quantity: measure.quantity,
  value: measure.text,
  onText: measure.setText,
  error: measure.error,
  inputRef: measure.field,
});
