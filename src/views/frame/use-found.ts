import { useEffect, useState } from 'react';
import { searchSites } from '../../client/lists';
import type { DeviceState } from '../../device/device-state';
import { findHits, hitOf, type Hit } from './find-hits';

/** What was found, by where: the open site first. */
export interface HitGroup {
  name: string;
  hits: Hit[];
}

/** Letters come one after the other: the server is asked once they pause, ms. */
const PAUSE_MS = 120;

/**
 * What of the open site and of the others holds every word of a text: as the server finds it; from what lies on this
 * device while the server is away, or has not heard all of it yet.
 *
 * @returns null while the first answer is on its way
 */
export function useFound({ slice, site, sites, waiting }: DeviceState, text: string): HitGroup[] | null {
  const [answer, setAnswer] = useState<{ text: string; groups: HitGroup[] | 'away' } | null>(null);
  useEffect(() => {
    const asked = text.trim();
    if (asked === '') return;
    const control = new AbortController();
    const timer = setTimeout(() => {
      searchSites(asked, control.signal).then(
        (found) => {
          const sorted = [...found].sort((a, b) => Number(b.site === site) - Number(a.site === site));
          const groups = sorted.map((one) => ({ name: one.name, hits: one.found.map((hit) => hitOf(one.site, hit)) })); // prettier-ignore
          setAnswer({ text, groups });
        },
        () => control.signal.aborted || setAnswer({ text, groups: 'away' }),
      );
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      control.abort();
    };
  }, [text, site]);
  if (text.trim() === '') return [];
  if (!answer) return null;
  const here = sites.find(({ id }) => id === site)?.name ?? 'This device';
  const own = (): HitGroup => ({ name: here, hits: site ? findHits(slice, site, text) : [] });
  if (answer.groups === 'away') return [own()].filter(({ hits }) => hits.length > 0);
  if (waiting === 0) return answer.groups;
  const known = new Set(answer.groups.flatMap(({ hits }) => hits.map(({ address }) => address)));
  const unsent = own().hits.filter(({ address }) => !known.has(address));
  return unsent.length > 0 ? [...answer.groups, { name: `${here}, not sent yet`, hits: unsent }] : answer.groups;
} // prettier-ignore
