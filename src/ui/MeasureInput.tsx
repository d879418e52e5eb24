import { TextInput, type TextInputProps } from '@mantine/core';
import { useState, type Ref } from 'react';
import { QUANTITIES, readQuantity, type QuantityId } from '../core/quantity/quantity';
import { quantityFault, understood } from '../core/words/en/quantity';

interface MeasureInputProps extends Omit<TextInputProps, 'value' | 'onChange' | 'label'> {
  quantity: QuantityId;
  /** Replaces the quantity's own unit in the title; empty for none. */
  unit?: string;
  label: string;
  value: string;
  onText: (text: string) => void;
  inputRef?: Ref<HTMLInputElement>;
}

/**
 * A field for a figure with its unit: takes every way in which people write it, shows what it understood before it
 * counts, and says in words what it did not. What is wrong is told when the field is left, and goes when it is right.
 */
export function MeasureInput({
  quantity,
  unit,
  label,
  value,
  onText,
  inputRef,
  error,
  description,
  onBlur,
  ...rest
}: MeasureInputProps) {
  // prettier-ignore
  const [left, setLeft] = useState(false);
  const read = readQuantity(value, quantity);
  const shownUnit = unit ?? (quantity === 'length' ? 'mm or in' : QUANTITIES[quantity].unit);
  const fault = left && value.trim() !== '' && 'fault' in read ? quantityFault(read.fault, quantity) : null;
  return (
    <TextInput
      inputMode="decimal"
      autoComplete="off"
      classNames={{ input: 'figures' }}
      inputWrapperOrder={['label', 'input', 'description', 'error']}
      {...rest}
      ref={inputRef}
      label={shownUnit ? `${label}, ${shownUnit}` : label}
      value={value}
      description={'value' in read && read.converted ? understood(read.value, quantity) : description}
      error={fault ?? error}
      onChange={(event) => onText(event.currentTarget.value)}
      onBlur={(event) => {
        setLeft(true);
        onBlur?.(event);
      }}
    />
  );
}
