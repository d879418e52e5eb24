import type { Field } from './fields';
import { get } from './fields';
import { useReach } from './form-context';

/** A field of a type with its whole path in the record. */
export interface FieldProps<T extends Field['type'] = Field['type']> {
  field: Field & { type: T };
  full: string;
}

export const NOT_RECORDED = { value: '', label: 'not recorded' };

/** What every input of a form has: its label, what stands in it, what is wrong with it, and where a change goes. */
export function useInput<V = string>({ field, full }: FieldProps) {
  const { form, change, left } = useReach();
  return {
    label: field.hint ? `${field.title} (${field.hint})` : field.title,
    value: (get(form.getValues(), full) ?? '') as V,
    error: form.errors[full],
    set: (next: unknown) => change(full, next),
    left: () => left(full),
  };
}
