import { endpoint, json } from '../../../server/http/endpoint';

export const prerender = false;

export const GET = endpoint(({ app, url }) => {
  const { records } = app.store;
  const entry = url.searchParams.get('entry');
  const of = entry === null ? null : (records.get('entry', entry)?.site ?? '');
  const all = of === null ? records.all('site') : [records.get('site', of)].filter((site) => site !== null);
  const sites = all.map(({ id, name }) => ({ id, name }));
  return json(sites.sort((a, b) => a.name.localeCompare(b.name, 'en')));
});
