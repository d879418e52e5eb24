import { listedSites } from '../../server/base/site-list';
import { listAsk } from '../../server/http/asking';
import { endpoint, json } from '../../server/http/endpoint';

export const prerender = false;

/** What of any site holds every word of a text, site by site. */
export const GET = endpoint(async ({ app, url }) => {
  const { q, limit } = listAsk(url);
  await app.writer.list();
  const sites = listedSites(app).flatMap(({ id, name }) => {
    const found = app.sites.get(id)?.lists.search(q, limit) ?? [];
    return found.length > 0 ? [{ site: id, name, found }] : [];
  });
  return json({ sites });
});
