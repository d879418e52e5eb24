import { useEffect, useRef, useState, type Dispatch, type SetStateAction } from 'react';
import type { FarSource, Page, Query } from './source';
import type { List } from './use-list';

/** How long a word is waited for before it is asked for, ms. */
const TYPING_MS = 150;
/** How long a list that is not settled is left alone, ms. Chosen: some entries are judged in less. */
const UNSETTLED_MS = 1500;

/**
 * Follows a list that lies elsewhere from page to page. What came last stays on the screen until what was asked since
 * has come; a question that nobody waits for any more is taken back.
 */
export function useFarList<R>(
  source: FarSource<R>,
  start: Partial<Query> = {},
  onQuery?: (query: Query) => void,
): List<R> {
  const { query, ask } = useQuery(start, onQuery);
  const [pages, setPages] = useState<readonly Page<R>[]>([]);
  const [asking, setAsking] = useState(true);
  const [problem, setProblem] = useState<string | null>(null);
  const [tries, setTries] = useState(0);
  const stop = useRef(new AbortController());
  const asked = JSON.stringify(query);

  const ended = (why: string | null) => {
    setProblem(why);
    setAsking(false);
  };
  const fetchPage = (after: string | null, before: readonly Page<R>[]) => {
    const { signal } = stop.current;
    setAsking(true);
    source.ask(query, after, signal).then(
      (page) => {
        if (signal.aborted) return;
        setPages([...before, page]);
        ended(null);
      },
      (error: Error) => signal.aborted || ended(error.message),
    );
  };

  const words = useRef(query.text);
  useEffect(() => {
    stop.current = new AbortController();
    const typing = words.current !== query.text;
    words.current = query.text;
    const wait = typing ? setTimeout(() => fetchPage(null, []), TYPING_MS) : void fetchPage(null, []);
    return () => (clearTimeout(wait), stop.current.abort());
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what is asked, and of which state of things, decides
  }, [asked, source.version, tries]);

  // Who has gone on to further pages is not taken back to the first.
  useAgain(pages.length === 1 && pages[0]!.unsettled === true && !asking, setTries);

  const last = pages.at(-1);
  return {
    query,
    setText: (text) => ask({ text }),
    setOnly: (id, value) => ask({ only: { ...query.only, [id]: value } }),
    setSort: (sort) => ask({ sort }),
    rows: pages.flatMap(({ rows }) => rows),
    matching: pages[0]?.matching ?? 0,
    of: pages[0]?.of ?? null,
    more: () => last?.next != null && !asking && fetchPage(last.next, pages),
    asking,
    problem,
    again: () => setTries(tries + 1),
  };
}

/** Asks again in a moment, as long as a list is not settled. */
function useAgain(unsettled: boolean, setTries: Dispatch<SetStateAction<number>>): void {
  useEffect(() => {
    if (!unsettled) return;
    const wait = setTimeout(() => setTries((tried) => tried + 1), UNSETTLED_MS);
    return () => clearTimeout(wait);
  }, [unsettled, setTries]);
}

function useQuery(start: Partial<Query>, onQuery?: (query: Query) => void) {
  const [query, setQuery] = useState<Query>({ text: '', only: {}, sort: '', ...start });
  const ask = (next: Partial<Query>) => {
    setQuery({ ...query, ...next });
    onQuery?.({ ...query, ...next });
  };
  return { query, ask };
}
