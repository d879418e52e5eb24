import { listAsk, pageAnswer } from '../../../../server/http/asking';
import { endpoint, json, needSite } from '../../../../server/http/endpoint';

export const prerender = false;

/** Most changes of one record that are listed. */
const MOST = 50;

/** What was done with a record; without one, on the site, page by page. */
export const GET = endpoint((call) => {
  const { store } = needSite(call);
  const record = call.url.searchParams.get('record');
  if (record !== null) return json(store.records.changesOf(record, MOST));
  return pageAnswer(store.lists.history(listAsk(call.url)));
});
