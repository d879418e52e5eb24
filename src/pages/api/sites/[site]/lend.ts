import { HttpError } from '../../../../server/base/error';
import { endpoint, json, needPerson, needSite, readJson } from '../../../../server/http/endpoint';

export const prerender = false;

/** Lends an instrument of the register to the site. */
export const POST = endpoint(async (call) => {
  const person = needPerson(call);
  const { store } = needSite(call);
  const { instrument } = (readJson(call.body) ?? {}) as { instrument?: unknown };
  if (typeof instrument !== 'string')
    throw new HttpError(
      422,
      'invalid',
      'Send {"instrument": "…"} with the id of an instrument.',
      'instrument',
    );
  return json({ answers: await call.app.writer.lend(instrument, store.id, person) });
});
