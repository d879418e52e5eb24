import { endpoint, json } from '../../../server/http/endpoint';
import { type App } from '../../../server/app/app';
import { listedSites } from '../../../server/base/site-list';

export const prerender = false;

export const GET = endpoint(async ({ app, url }) => {
  await app.writer.list();
  const entry = url.searchParams.get('entry');
  const holding = entry === null ? null : siteHolding(app, entry);
  const all = listedSites(app);
  return json(entry === null ? all : all.filter(({ id }) => id === holding));
});

const siteHolding = ({ sites }: App, entry: string) =>
  sites.ids().find((id) => sites.get(id)?.records.get('entry', entry)) ?? null;
