import { endpoint } from '../../server/http/endpoint';

export const prerender = false;

export const GET = endpoint(
  ({ app }) =>
    new Response(app.events.open(), {
      headers: {
        'content-type': 'text/event-stream',
        'cache-control': 'no-store',
        'x-accel-buffering': 'no',
      },
    }),
);
