import { endpoint, json } from '../../server/http/endpoint';

export const prerender = false;

/** Whether the server is well: it can read its own database. */
export const GET = endpoint(({ app }) => {
  app.installation.settings.get('session-secret');
  return json({ ok: true, now: app.clock().toISOString() });
});
