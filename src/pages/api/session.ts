import { endpoint, json, readJson } from '../../server/http/endpoint';
import { signIn } from '../../server/http/session';

export const prerender = false;

export const GET = endpoint(({ app, person }) =>
  json({
    person,
    people: app.installation.people.all(),
    now: app.clock().toISOString(),
    testClock: app.testClock,
  }),
);

export const POST = endpoint(({ app, body }) => {
  const { person, cookie } = signIn(app, (readJson(body) as { name?: unknown } | null)?.name);
  return json({ person }, 200, { 'set-cookie': cookie });
});
