import { endpoint, json, needSite } from '../../../../server/http/endpoint';

export const prerender = false;

/** Clocks that are told at once. Chosen: more than anybody waits for. */
const MOST = 500;

/** What time runs against on a site: compounds, cures, tests that grow old; those that are due first. */
export const GET = endpoint((call) =>
  json(needSite(call).store.statuses.clocks(call.app.clock().getTime(), MOST)),
);
