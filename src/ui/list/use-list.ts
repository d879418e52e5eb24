import { useMemo, useState } from 'react';
import type { Page, Query, Source } from './source';

/** A choice that lets only some rows through. */
export interface Filter {
  id: string;
  label: string;
  /** Values with their words; the first, '', lets everything through. */
  options: readonly (readonly [value: string, words: string])[];
}

/** A list as it stands: what was asked, and the rows that have come so far. */
export interface List<R> {
  query: Query;
  setText: (text: string) => void;
  setOnly: (id: string, value: string) => void;
  setSort: (sort: string) => void;
  rows: readonly R[];
  matching: number;
  of: number | null;
  /** Fetches what comes after the last row, where there is more. */
  more: () => void;
  /** Rows are on their way. */
  asking: boolean;
  /** Why they have not come; null where nothing is wrong. */
  problem: string | null;
  again: () => void;
}

/** What a list has for whoever asks nothing of it. */
const HERE = { asking: false, problem: null, again: () => undefined };

/** Follows a list from page to page; another question begins at the start again. */
export function useList<R>(
  source: Source<R>,
  start: Partial<Query> = {},
  onQuery?: (query: Query) => void,
): List<R> {
  const [query, setQuery] = useState<Query>({ text: '', only: {}, sort: '', ...start });
  const [pages, setPages] = useState(1);
  const ask = (next: Partial<Query>) => {
    setQuery({ ...query, ...next });
    setPages(1);
    onQuery?.({ ...query, ...next });
  };
  const { rows, last } = useMemo(() => read(source, query, pages), [source, query, pages]);
  return {
    query,
    setText: (text) => ask({ text }),
    setOnly: (id, value) => ask({ only: { ...query.only, [id]: value } }),
    setSort: (sort) => ask({ sort }),
    rows,
    matching: last.matching,
    of: last.of,
    more: () => last.next !== null && setPages(pages + 1),
    ...HERE,
  };
}

function read<R>(source: Source<R>, query: Query, pages: number): { rows: R[]; last: Page<R> } {
  let last = source(query, null);
  const rows = [...last.rows];
  for (let page = 1; page < pages && last.next !== null; page++) {
    last = source(query, last.next);
    rows.push(...last.rows);
  }
  return { rows, last };
}
