/** What a row of a list is sorted by, the number of the row last: no two are alike. */
export type Key = readonly (string | number)[];

/** The place of a row in its list, as a text that an address can carry. */
export const tokenOf = (key: Key): string => Buffer.from(JSON.stringify(key)).toString('base64url');

/**
 * The place that a text names.
 *
 * @param parts how many values a place of this list has
 * @returns null where the text is none of this list's
 */
export function keyOf(token: string, parts: number): Key | null {
  try {
    const key: unknown = JSON.parse(Buffer.from(token, 'base64url').toString());
    const isPlace =
      Array.isArray(key) &&
      key.length === parts &&
      key.every((part) => typeof part === 'string' || typeof part === 'number');
    return isPlace ? (key as Key) : null;
  } catch {
    return null;
  }
}

/** A part of a question in SQL, with what stands in its places. */
export interface Clause {
  sql: string;
  values: readonly (string | number)[];
}

/** All of some clauses; what there is none of lets everything through. */
export const all = (clauses: readonly (Clause | null)[]): Clause => {
  const asked = clauses.filter((clause) => clause !== null);
  return {
    sql: asked.length === 0 ? '1' : asked.map(({ sql }) => `(${sql})`).join(' AND '),
    values: asked.flatMap(({ values }) => values),
  };
};
