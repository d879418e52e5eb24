import type { TableName } from '../../core/record/types';

/** One field of a form; `path` is the dotted place in the record. */
export type Field = { path: string; title: string } & (
  | { type: 'text'; nullable?: boolean; hint?: string }
  | { type: 'number'; unit?: string; nullable?: boolean }
  /** Typed as mm or inches, kept as mm; above 0 unless `zero`. */
  | { type: 'length'; nullable?: boolean; zero?: boolean }
  | { type: 'select'; options: readonly (string | number)[]; nullable?: boolean }
  /** Words with commas between them. */
  | { type: 'words'; hint?: string }
  | { type: 'flag' }
  /** Yes, no, or not recorded. */
  | { type: 'ternary' }
  | { type: 'date' }
  | { type: 'reference'; table: TableName; nullable?: boolean }
  | { type: 'references'; table: TableName }
  /** A shipped set of references, or one of the site's own. */
  | { type: 'reference-set' }
  /** A list that is nullable can be "not recorded", which is not the same as empty. */
  | { type: 'list'; fields: readonly Field[]; blank: () => object; nullable?: boolean }
  /** An object that may be absent. */
  | { type: 'group'; fields: readonly Field[]; blank: () => object; nullable: boolean }
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
  blank: (id: string) => object;
}

export const text = (path: string, title: string, hint?: string): Field => ({
  path,
  title,
  type: 'text',
  hint,
});
export const num = (path: string, title: string, unit?: string, nullable = false): Field => ({
  path,
  title,
  type: 'number',
  unit,
  nullable,
});
export const len = (path: string, title: string, nullable = false): Field => ({
  path,
  title,
  type: 'length',
  nullable,
});
/** A length that may be 0. */
export const len0 = (path: string, title: string, nullable = false): Field => ({
  path,
  title,
  type: 'length',
  zero: true,
  nullable,
});
export const pick = (
  path: string,
  title: string,
  options: readonly (string | number)[],
  nullable = false,
): Field => ({
  path,
  title,
  type: 'select',
  options,
  nullable,
});
export const words = (path: string, title: string, hint?: string): Field => ({
  path,
  title,
  type: 'words',
  hint,
});
export const flag = (path: string, title: string): Field => ({ path, title, type: 'flag' });

/** A question that may not have been answered yet. */
export const ternary = (path: string, title: string): Field => ({ path, title, type: 'ternary' });

/** A value of a record as a text; nothing is an empty text. */
export const string = (value: unknown): string => (value == null ? '' : String(value));
