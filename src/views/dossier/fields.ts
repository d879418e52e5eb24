import type { QuantityId } from '../../core/quantity/quantity';
import type { TableName } from '../../core/record/types';

/** One field of a form; `path` is the dotted place in the record. What is left empty is not recorded. */
export type Field = { path: string; title: string; hint?: string } & (
  | { type: 'text' }
  /** A text that stands empty where there is none; it is never "not recorded". */
  | { type: 'free-text' }
  /** One text a line; "it has none" is a positive fact beside "not recorded". */
  | { type: 'lines'; none: string }
  /** A figure, typed in any unit of its quantity; `unit` replaces the quantity's own in the title. */
  | { type: 'measure'; quantity: QuantityId; unit?: string }
  | { type: 'select'; options: readonly (string | number)[]; words?: Readonly<Record<string, string>> }
  /** Any of a list of words. */
  | { type: 'choices'; options: readonly string[] }
  /** Names with commas between them. */
  | { type: 'names' }
  /** Kinds of protection as they are read off a plate. */
  | { type: 'concepts' }
  /** Yes, no, or not recorded. */
  | { type: 'ternary' }
  | { type: 'date' }
  | { type: 'reference'; table: TableName }
  | { type: 'references'; table: TableName }
  /** A size that the certificate beside it lists. */
  | { type: 'size'; certificate: string }
  /** A shipped set of references, or one of the site's own. */
  | { type: 'reference-set' }
  /** A list that is nullable can be "not recorded", which is not the same as empty. */
  | { type: 'list'; fields: readonly Field[]; nullable?: boolean }
  /** An object that may be absent; `word` is a positive fact that stands in its place. */
  | {
      type: 'group';
      fields: readonly Field[];
      nullable: boolean;
      /** What a new one holds beside its fields. */
      extra?: object;
      word?: { value: string; title: string };
    }
);

/** Words for one table of the dossier. */
export interface TableForm {
  title: string;
  one: string;
  /** What a record is called in a list. */
  name: (record: Record<string, unknown>) => string;
  /** What stands beside the name. */
  beside: (record: Record<string, unknown>) => string;
  empty: string;
  fields: readonly Field[];
  /** What a new record holds beside "not recorded": its place on the plan, never a fact that somebody must have seen. */
  extra?: object | (() => object);
}

export const text = (path: string, title: string, hint?: string): Field => ({
  path,
  title,
  type: 'text',
  hint,
});
export const free = (path: string, title: string, hint?: string): Field => ({ path, title, type: 'free-text', hint }); // prettier-ignore
export const measure = (path: string, title: string, quantity: QuantityId, unit?: string): Field => ({ path, title, type: 'measure', quantity, unit }); // prettier-ignore
export const len = (path: string, title: string): Field => measure(path, title, 'length');
export const num = (path: string, title: string, unit?: string): Field =>
  measure(path, title, 'number', unit);
export const pick = (path: string, title: string, options: readonly (string | number)[], words?: Readonly<Record<string, string>>): Field => ({ path, title, type: 'select', options, words }); // prettier-ignore
export const choices = (path: string, title: string, options: readonly string[]): Field => ({ path, title, type: 'choices', options }); // prettier-ignore
export const concepts = (path: string, title: string): Field => ({ path, title, type: 'concepts', hint: 'Ex db eb, or d/e' }); // prettier-ignore
/** A question that may not have been answered yet. */
export const ternary = (path: string, title: string): Field => ({ path, title, type: 'ternary' });
export const date = (path: string, title: string): Field => ({ path, title, type: 'date' });

/** A value of a record as a text; nothing is an empty text. */
export const string = (value: unknown): string => (value == null ? '' : String(value));

/** A value of a record as it is said in a list. */
export const said = (value: unknown): string =>
  value == null || value === '' ? 'not recorded' : String(value);

/**
 * A record before anything is known of it: every field not recorded. So no form can start with a fact that somebody
 * must have seen.
 */
export function blankOf(fields: readonly Field[], extra: object = {}): Record<string, unknown> {
  const pair = fields.length > 0 && fields.every(({ path }) => /^\d+$/.test(path));
  const record = (pair ? [] : {}) as Record<string, unknown>;
  for (const field of fields) put(record, field.path, nothingIn(field));
  return pair ? record : { ...record, ...structuredClone(extra) };
}

function nothingIn(field: Field): unknown {
  switch (field.type) {
    case 'free-text':
      return '';
    case 'choices':
    case 'names':
    case 'concepts':
    case 'references':
      return [];
    case 'list':
      return field.nullable ? null : [];
    case 'group':
      return field.nullable ? null : blankOf(field.fields, field.extra);
    default:
      return null;
  }
}

type Json = Record<string, unknown>;

/** What stands at a dotted path; undefined where there is nothing. */
export const get = (value: unknown, path: string): unknown =>
  path.split('.').reduce<unknown>((at, key) => (at as Json | null | undefined)?.[key], value);

/** Writes at a dotted path; lists are made where a number follows. */
export function put(target: Json, path: string, value: unknown): void {
  const keys = path.split('.');
  let at = target;
  keys.slice(0, -1).forEach((key, i) => {
    if (typeof at[key] !== 'object' || at[key] === null) at[key] = /^\d+$/.test(keys[i + 1]!) ? [] : {};
    at = at[key] as Json;
  });
  at[keys[keys.length - 1]!] = value;
}
