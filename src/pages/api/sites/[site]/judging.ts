import { HttpError } from '../../../../server/base/error';
import { endpoint, json, needPerson, needSite, readJson } from '../../../../server/http/endpoint';

export const prerender = false;

/** How many entries are being judged anew. */
export const GET = endpoint((call) => json({ left: needSite(call).store.statuses.countStale() }));

/** Stops judging a site anew, or goes on with it: `{"go": false}` or `{"go": true}`. */
export const POST = endpoint(async (call) => {
  needPerson(call);
  const { store } = needSite(call);
  const { go } = (readJson(call.body) ?? {}) as { go?: unknown };
  if (typeof go !== 'boolean')
    throw new HttpError(422, 'invalid', 'Send {"go": true} or {"go": false}.', 'go');
  await call.app.writer.judging(store.id, go);
  return json({ left: store.statuses.countStale() });
});
