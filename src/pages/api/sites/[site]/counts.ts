import { todayAt } from '../../../../server/http/asking';
import { endpoint, json, needSite } from '../../../../server/http/endpoint';

export const prerender = false;

/** How many entries of a site are in which state, and due when. */
export const GET = endpoint((call) => json(needSite(call).store.entries.counts(todayAt(call))));
