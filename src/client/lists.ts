import type { Found } from '../core/programme/lists';
import type { Id } from '../core/record/types';
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

/** Stops judging a site anew on the server, or goes on with it. */
export const setJudging = (site: Id, go: boolean): Promise<{ left: number }> =>
  request(`/api/sites/${site}/judging/`, ({ left }) => typeof left === 'number', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ go }),
  });
