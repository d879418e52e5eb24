import { useEffect, useState } from 'react';

/** An answer of the server's, as far as it has come. */
export interface Asked<R> {
  answer: R | null;
  /** Why it has not come; null where nothing is wrong. */
  problem: string | null;
}

/**
 * Asks the server for something that no copy holds. What came last stays until the next answer.
 *
 * @param what what is asked: another word asks again
 */
export function useAsked<R>(ask: (signal: AbortSignal) => Promise<R>, what: string): Asked<R> {
  const [asked, setAsked] = useState<Asked<R>>({ answer: null, problem: null });
  useEffect(() => {
    const stop = new AbortController();
    const { signal } = stop;
    ask(signal).then(
      (answer) => signal.aborted || setAsked({ answer, problem: null }),
      (error: Error) => signal.aborted || setAsked(({ answer }) => ({ answer, problem: error.message })),
    );
    return () => stop.abort();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what is asked says when it is asked again
  }, [what]);
  return asked;
}
