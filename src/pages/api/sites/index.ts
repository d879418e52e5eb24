import { endpoint, json } from '../../../server/http/endpoint';

export const prerender = false;

export const GET = endpoint(({ app }) =>
  json(app.store.records.all('site').map(({ id, name }) => ({ id, name }))),
);
