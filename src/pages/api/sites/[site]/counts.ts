import { dayIn } from '../../../../core/record/calendar';
import { endpoint, json, needSite } from '../../../../server/http/endpoint';

export const prerender = false;

/** How many entries of a site are in which state, and due when. */
export const GET = endpoint((call) => {
  const { store, site } = needSite(call);
  return json(store.entries.counts(dayIn(call.app.clock().toISOString(), site.timeZone)));
});
