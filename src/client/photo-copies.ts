import { photoAddress } from './api';
import type { Id } from '../core/record/types';

/** Copies of photos that are kept on this device, by their addresses. */
const CACHE = 'yendral-photos';
/** Longest side of a copy, px. Chosen: what a tablet shows. */
const LONGEST_PX = 1200;
/** Copies that are fetched at once. */
const AT_ONCE = 4;

/** Address of a photo as it is shown, smaller than it was taken. */
export const photoCopyAddress = (site: Id, id: Id): string =>
  `${photoAddress(site, id)}?longest=${LONGEST_PX}`;

/** Whether this browser keeps copies at all: it does where the page came safely. */
const canKeep = (): boolean => 'caches' in globalThis;

/** The copy of a photo that is on this device; null where there is none. */
export async function keptCopy(site: Id, id: Id): Promise<Blob | null> {
  if (!canKeep()) return null;
  const kept = await caches.match(photoCopyAddress(site, id), { cacheName: CACHE }).catch(() => undefined);
  return kept ? kept.blob() : null;
}

/** Those of a site's photos of which no copy is here. */
export async function missingCopies(site: Id, ids: readonly Id[]): Promise<Id[]> {
  if (!canKeep()) return [];
  const cache = await caches.open(CACHE);
  const here = new Set((await cache.keys()).map(({ url }) => pathOf(url)));
  return ids.filter((id) => !here.has(photoCopyAddress(site, id)));
}

/**
 * Fetches copies of photos, so that they can be seen without a signal.
 *
 * @param told how many are here by now
 * @throws Error when one cannot be had, or there is no room for it: those that came before stay
 */
export async function fetchCopies(
  site: Id,
  ids: readonly Id[],
  { told, signal }: { told: (done: number) => void; signal: AbortSignal },
): Promise<void> {
  const cache = await caches.open(CACHE);
  const left = [...ids];
  let done = 0;
  const go = async () => {
    for (let id = left.shift(); id !== undefined; id = left.shift()) {
      signal.throwIfAborted();
      const address = photoCopyAddress(site, id);
      const answer = await fetch(address, { signal });
      // One that was lost on the server is no reason to go without the others.
      if (answer.ok) await cache.put(address, answer);
      else if (answer.status !== 404) throw new Error(`The server answered ${answer.status}. Fetch the rest again.`);
      told(++done);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, go));
} // prettier-ignore

/** Lets go of a site's copies but of these photos. */
export async function trimCopies(site: Id, ids: readonly Id[]): Promise<void> {
  if (!canKeep()) return;
  const cache = await caches.open(CACHE);
  const own = photoAddress(site, '').replace(/\/$/, '');
  const stay = new Set(ids.map((id) => photoCopyAddress(site, id)));
  for (const { url } of await cache.keys()) {
    const path = pathOf(url);
    if (path.startsWith(own) && !stay.has(path)) await cache.delete(url);
  }
}

function pathOf(url: string): string {
  const { pathname, search } = new URL(url);
  return pathname + search;
}
