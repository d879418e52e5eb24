import { scopeAsk } from '../../../../server/http/asking';
import { endpoint, needSite } from '../../../../server/http/endpoint';
import { streamOf } from '../../../../server/http/task';

export const prerender = false;

/** Everything that some rounds, areas or entries are inspected with. */
export const GET = endpoint(async (call) => {
  const { store } = needSite(call);
  const { app, gone } = call;
  const pieces = app.jobs(
    { do: 'slice', folder: app.folder, site: store.id, scope: scopeAsk(call.url) },
    gone,
  );
  return new Response(await streamOf(pieces, () => undefined), {
    headers: { 'content-type': 'application/json; charset=utf-8', 'cache-control': 'no-store' },
  });
});
