/** What is asked of a list. */
export interface Query {
  /** Words that a row holds, in any order. */
  text: string;
  /** Filters by their ids; '' lets everything through. */
  only: Readonly<Record<string, string>>;
  /** Order by its id. */
  sort: string;
}

/** A part of what a list has to say. */
export interface Page<R> {
  rows: readonly R[];
  /** What the next page comes after; null at the end. */
  next: string | null;
  /** How many rows answer the query, and how many there are; null where nobody has counted. */
  matching: number;
  of: number | null;
  /** Whether it will be otherwise in a moment: it is asked again then. */
  unsettled?: boolean;
}

/** Where a list comes from, page by page: what lies on the device. */
export type Source<R> = (query: Query, after: string | null) => Page<R>;

/** Where a list comes from that lies elsewhere. Its errors say in their message what to do next. */
export interface FarSource<R> {
  /** Another word: what it said before may be otherwise by now. */
  version: string;
  ask: (query: Query, after: string | null, signal: AbortSignal) => Promise<Page<R>>;
}

/** How rows that lie in memory are searched, filtered and sorted. */
export interface Listed<R> {
  key: (row: R) => string;
  /** What a search looks through. */
  words: (row: R) => string;
  only?: Readonly<Record<string, (row: R, value: string) => boolean>>;
  /** Orders by their ids; without one of the query's name the rows stay as they are. */
  sorts?: Readonly<Record<string, (a: R, b: R) => number>>;
  /** Rows of a page, where they are tall. */
  page?: number;
}

/** Rows of a page. Chosen: a screen's worth several times over. */
const PAGE = 100;

/**
 * A source over rows that lie in memory.
 *
 * @example listed(cables, { key: ({ id }) => id, words: ({ tag }) => tag })({ text: 'p-21', only: {}, sort: '' }, null).rows
 */
export function listed<R>(all: readonly R[], how: Listed<R>): Source<R> {
  const { page: size = PAGE } = how;
  let last: { asked: string; rows: R[] } | null = null;
  const answer = (query: Query): R[] => {
    const asked = JSON.stringify(query);
    if (last?.asked !== asked) last = { asked, rows: matching(all, how, query) };
    return last.rows;
  };
  return (query, after) => {
    const rows = answer(query);
    const from = after === null ? 0 : rows.findIndex((row) => how.key(row) === after) + 1;
    const page = rows.slice(from, from + size);
    const isLast = from + size >= rows.length;
    return {
      rows: page,
      next: isLast ? null : how.key(page.at(-1)!),
      matching: rows.length,
      of: all.length,
    };
  };
}

/** Rows that answer a query, in its order. */
export function matching<R>(
  all: readonly R[],
  { words, only = {}, sorts = {} }: Listed<R>,
  query: Query,
): R[] {
  const asked = query.text.toLowerCase().split(/\s+/).filter(Boolean);
  const rows = all.filter((row) => {
    for (const [id, value] of Object.entries(query.only))
      if (value !== '' && only[id] && !only[id](row, value)) return false;
    if (asked.length === 0) return true;
    const said = words(row).toLowerCase();
    return asked.every((word) => said.includes(word));
  });
  const sort = sorts[query.sort];
  return sort ? rows.sort(sort) : rows;
}

let order: Intl.Collator | undefined;
/** Tags in the order in which people count: P-9 before P-10. */
export const naturally = (a: string, b: string): number =>
  (order ??= new Intl.Collator('en', { numeric: true })).compare(a, b);
