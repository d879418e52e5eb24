import { useEffect, useState } from 'react';
import { now } from '../../client/clock';

/** The time in ms since 1970, looked at again every so often. */
export function useNow(everyMs: number): number {
  const [ms, setMs] = useState(() => Date.parse(now()));
  useEffect(() => {
    const timer = setInterval(() => setMs(Date.parse(now())), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return ms;
}
