import { useCallback, useEffect, useState } from 'react';
import { parameter } from './hand';

/** Whoever follows the address: the frame follows what a view changes in it. */
const followers = new Set<() => void>();

type Read<N extends string> = Record<N, string | null>;

/**
 * What of the page's address a view follows: read at first, written as it changes, and followed when the browser goes
 * back or forth.
 *
 * @param names the parameters; the list must not change while the view is shown
 * @returns their values, and a function that changes some of them: null takes one out. `replace` leaves no step to go
 * back to.
 */
export function useAddress<N extends string>(
  ...names: readonly N[]
): [Read<N>, (next: Partial<Read<N>>, how?: 'push' | 'replace') => void] {
  const [values, setValues] = useState(() => read(names));
  useEffect(() => {
    const back = () =>
      setValues((before) => {
        const next = read(names);
        return names.every((name) => before[name] === next[name]) ? before : next;
      });
    window.addEventListener('popstate', back);
    followers.add(back);
    return () => {
      window.removeEventListener('popstate', back);
      followers.delete(back);
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the names of a view are always the same
  }, []);
  const open = useCallback((next: Partial<Read<N>>, how: 'push' | 'replace' = 'push') => {
    const address = new URL(location.href);
    for (const [name, value] of Object.entries<string | null | undefined>(next)) {
      if (value == null) address.searchParams.delete(name);
      else address.searchParams.set(name, value);
    }
    if (how === 'push') history.pushState(null, '', address);
    else history.replaceState(null, '', address);
    for (const follow of followers) follow();
  }, []);
  return [values, open];
}

const read = <N extends string>(names: readonly N[]): Read<N> =>
  Object.fromEntries(names.map((name) => [name, parameter(name)])) as Read<N>;

/** The tab that an address names: the first where it names none of them. */
export const tabIn = <T extends string>(
  tabs: readonly (readonly [id: T, title: string])[],
  named: string | null,
): T => (tabs.find(([id]) => id === named) ?? tabs[0]!)[0];
