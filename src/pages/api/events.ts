import { endpoint } from '../../server/http/endpoint';

export const prerender = false;

/** Sites that one stream may tell of. */
const MOST_SITES = 100;

const sitesIn = (url: URL) =>
  (url.searchParams.get('sites') ?? '').split(',').filter(Boolean).slice(0, MOST_SITES);

export const GET = endpoint(
  ({ app, url }) =>
    new Response(app.events.open(sitesIn(url)), {
      headers: {
        'content-type': 'text/event-stream',
        'cache-control': 'no-store',
        'x-accel-buffering': 'no',
      },
    }),
);
