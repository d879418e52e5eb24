import { listAsk } from '../../../../server/http/asking';
import { endpoint, json, needSite } from '../../../../server/http/endpoint';

export const prerender = false;

/** What of a site holds every word of a text. */
export const GET = endpoint((call) => {
  const { q, limit } = listAsk(call.url);
  return json({ found: needSite(call).store.lists.search(q, limit) });
});
