import { endpoint, json } from '../../../server/http/endpoint';

export const prerender = false;

export const GET = endpoint(({ app }) => {
  const sites = app.store.records.all('site').map(({ id, name }) => ({ id, name }));
  return json(sites.sort((a, b) => a.name.localeCompare(b.name, 'en')));
});
