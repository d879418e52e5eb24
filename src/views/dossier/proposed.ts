import type { Draft } from './draft';
import { get, type Field } from './fields';

/** Where something is drawn on the plan is no fact that somebody must have seen. */
const PLACING = /^(positionM|outlineM)\.|^levelM$/;

/** Paths of every fact that stands in a draft: what a copy has to have confirmed. */
export function factsIn(fields: readonly Field[], draft: Draft, path = ''): string[] {
  return fields.flatMap((field) => {
    const full = path + field.path;
    if (PLACING.test(full)) return [];
    const value = get(draft, field.path);
    if (field.type === 'list')
      return ((value ?? []) as Draft[]).flatMap((item, i) => factsIn(field.fields, item, `${full}.${i}.`));
    if (field.type === 'group') {
      if (value == null) return [];
      return typeof value === 'object' ? factsIn(field.fields, value as Draft, `${full}.`) : [full];
    }
    return isEmpty(field, value) ? [] : [full];
  });
}

function isEmpty(field: Field, value: unknown): boolean {
  if (field.type === 'lines') {
    const { none, text } = value as { none: boolean; text: string };
    return !none && text.trim() === '';
  }
  if (Array.isArray(value)) return value.length === 0;
  return value === '' || value == null;
}

/** What a field holds when nothing is recorded in it. */
export const emptyOf = (value: unknown): unknown =>
  Array.isArray(value) ? [] : typeof value === 'object' && value !== null ? { none: false, text: '' } : '';

/** Paths after lines of a list have moved: `by` 1 after one was put in at `at`, −1 after one was taken out there. */
export function moved(paths: ReadonlySet<string>, list: string, at: number, by: 1 | -1): Set<string> {
  const next = new Set<string>();
  for (const path of paths) {
    const rest = path.startsWith(`${list}.`) ? path.slice(list.length + 1) : null;
    const index = rest === null ? NaN : Number(rest.split('.')[0]);
    if (rest === null || Number.isNaN(index) || index < at) next.add(path);
    else if (by === 1 || index > at) next.add(`${list}.${index + by}${rest.slice(String(index).length)}`);
  }
  return next;
}
