/** A part of a JSON Schema (draft 7). */
export type Fragment = Readonly<Record<string, unknown>>;

/** What the decorators of one field say of it. */
export interface FieldNote {
  schema?: Fragment;
  /** Class of what lies in it, or of each of its list. */
  of?: () => new () => object;
  optional?: boolean;
  nullable?: boolean;
  /** A word that may stand in its place. */
  word?: string;
  description?: string;
}

const NOTES = new WeakMap<object, Map<string, FieldNote>>();

/** Keeps what a decorator says of a field of a class, beside what was said of it before. */
export function note(prototype: object, property: string | symbol, said: FieldNote): void {
  let fields = NOTES.get(prototype);
  if (!fields) NOTES.set(prototype, (fields = new Map()));
  // A field that is named by a number comes as one.
  const field = String(property);
  fields.set(field, { ...fields.get(field), ...said });
}

/** What is known of the fields of a class, those that it inherits first. */
export function notesOf(Shape: new () => object): ReadonlyMap<string, FieldNote> {
  const fields = new Map<string, FieldNote>();
  const line: object[] = [];
  for (let one = Shape.prototype as object; one && one !== Object.prototype; one = Object.getPrototypeOf(one))
    line.unshift(one);
  for (const prototype of line)
    for (const [field, said] of NOTES.get(prototype) ?? []) fields.set(field, said);
  return fields;
}
