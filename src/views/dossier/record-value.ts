import { parseLength } from '../../core/quantity/length';

/** A record, or a part of one, while it is typed. */
export type Value = Record<string, unknown> | unknown[];

/** What stands at a dotted path; undefined where there is nothing. */
export function get(value: Value, path: string): unknown {
  return path
    .split('.')
    .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], value);
}

/** The same with something else at a dotted path. */
export function set(value: Value, path: string, next: unknown): Value {
  const [key, ...rest] = path.split('.') as [string, ...string[]];
  const copy = (Array.isArray(value) ? [...value] : { ...value }) as Record<string, unknown>;
  copy[key] = rest.length === 0 ? next : set((copy[key] ?? {}) as Value, rest.join('.'), next);
  return copy as Value;
}

/** Whether a typed length still says what the record holds. */
export function isSame(typed: string, value: unknown): boolean {
  const read = parseLength(typed);
  return 'mm' in read && read.mm === value;
}

/** The record with its lengths as typed, where the text is more than the number and still says the same. */
export function withTyped(
  record: Record<string, unknown>,
  typed: Record<string, string>,
): Record<string, unknown> {
  const kept = Object.entries(typed).filter(([path, text]) => {
    const value = get(record, path);
    return isSame(text, value) && text !== String(value);
  });
  const { typed: _old, ...rest } = record;
  return kept.length > 0 ? { ...rest, typed: Object.fromEntries(kept) } : rest;
}
