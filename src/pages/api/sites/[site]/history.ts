import { endpoint, json, needSite } from '../../../../server/http/endpoint';

export const prerender = false;

/** Most changes of one record that are listed. */
const MOST = 50;

export const GET = endpoint((call) =>
  json(needSite(call).store.records.changesOf(call.url.searchParams.get('record') ?? '', MOST)),
);
