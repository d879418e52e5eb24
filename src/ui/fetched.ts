import { lazy, type ComponentType, type LazyExoticComponent } from 'react';

/** How long the page itself goes first, ms. */
const WAIT_MS = 4000;

/**
 * A part of a page that the page shows without: fetched when there is time, so that it is here without a signal too,
 * or at once when it is shown first.
 */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- any component, whatever it is given
export function fetched<C extends ComponentType<any>>(
  load: () => Promise<{ default: C }>,
): LazyExoticComponent<C> {
  // What cannot be fetched now is asked for again when it is shown.
  if (typeof requestIdleCallback === 'function')
    setTimeout(() => requestIdleCallback(() => void load().catch(() => undefined)), WAIT_MS);
  return lazy(load);
}
