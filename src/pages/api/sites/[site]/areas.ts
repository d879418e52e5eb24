import { todayAt } from '../../../../server/http/asking';
import { endpoint, json, needSite } from '../../../../server/http/endpoint';

export const prerender = false;

/** How many entries of each area are in which state, how many defects are open, how many entries overdue. */
export const GET = endpoint((call) => json(needSite(call).store.entries.areas(todayAt(call))));
