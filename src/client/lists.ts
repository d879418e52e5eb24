import type {
  AreaCounts,
  AreaMarks,
  DefectRow,
  EntryCounts,
  EntryRow,
  Found,
  ListPage,
  RunningClocks,
} from '../core/programme/lists';
import type { Id, Tables } from '../core/record/types';
import { request } from './api';

/** What was found of one site. */
export interface FoundOn {
  site: Id;
  name: string;
  found: Found[];
}

/** Things that one search gives of a site at most. Chosen: what fits on a screen. */
const MOST_FOUND = 12;

/**
 * What of any site holds every word of a text, site by site.
 *
 * @throws ApiError
 */
export const searchSites = async (text: string, signal: AbortSignal): Promise<FoundOn[]> =>
  (
    await request<{ sites: FoundOn[] }>(
      `/api/search/?limit=${MOST_FOUND}&q=${encodeURIComponent(text)}`,
      ({ sites }) => Array.isArray(sites),
      { signal },
    )
  ).sites;

/** What of a list is asked for: fields that say nothing are left out. */
type Asked = Record<string, string | number | null | undefined | readonly string[]>;

/** A page of a list of a site’s. */
const pageOf = <R>(site: Id, list: string, asked: Asked, signal: AbortSignal): Promise<ListPage<R>> => {
  const query = new URLSearchParams();
  for (const [field, value] of Object.entries(asked))
    for (const one of [value ?? ''].flat()) if (one !== '') query.append(field, String(one));
  return request(`/api/sites/${site}/${list}/?${query.toString()}`, ({ rows }) => Array.isArray(rows), {
    signal,
  });
};

/** Lists of a site as the server has them, page by page. Every call throws ApiError. */
export const lists = {
  entries: (site: Id, asked: Asked, signal: AbortSignal) => pageOf<EntryRow>(site, 'entries', asked, signal),
  /** Records by what they are called. */
  named: <T extends 'enclosure' | 'cable' | 'round'>(site: Id, table: T, asked: Asked, signal: AbortSignal) =>
    pageOf<Tables[T]>(site, `${table}s`, asked, signal),
  defects: (site: Id, asked: Asked, signal: AbortSignal) => pageOf<DefectRow>(site, 'defects', asked, signal),
  counts: (site: Id, signal: AbortSignal) =>
    request<EntryCounts>(`/api/sites/${site}/counts/`, ({ of }) => typeof of === 'number', { signal }),
  marks: (site: Id, area: Id, signal: AbortSignal) =>
    request<AreaMarks>(`/api/sites/${site}/marks/?area=${encodeURIComponent(area)}`, ({ marks }) => Array.isArray(marks), { signal }), // prettier-ignore
  clocks: (site: Id, signal: AbortSignal) =>
    request<RunningClocks>(`/api/sites/${site}/clocks/`, ({ clocks }) => Array.isArray(clocks), { signal }),
  areas: (site: Id, signal: AbortSignal) =>
    request<AreaCounts[]>(`/api/sites/${site}/areas/`, (body) => Array.isArray(body), { signal }),
};

/** Stops judging a site anew on the server, or goes on with it. */
export const setJudging = (site: Id, go: boolean): Promise<{ left: number }> =>
  request(`/api/sites/${site}/judging/`, ({ left }) => typeof left === 'number', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ go }),
  });
