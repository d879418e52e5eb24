import { useEffect } from 'react';

/** Lets the browser ask before a page is left in which something is typed that is not kept. */
export function useAskBeforeLeaving(typed: boolean): void {
  useEffect(() => {
    if (!typed) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [typed]);
}
