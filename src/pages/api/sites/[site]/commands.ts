import { HttpError } from '../../../../server/base/error';
import { endpoint, json, needSite } from '../../../../server/http/endpoint';
import { commandsAfter } from '../../../../server/app/sync';

export const prerender = false;

export const GET = endpoint((call) => {
  const after = Number(call.url.searchParams.get('after') ?? 'x');
  if (!Number.isInteger(after) || after < 0) {
    throw new HttpError(422, 'invalid', 'after must be the number of a journal line.', 'after');
  }
  const hash = call.url.searchParams.get('hash') ?? '';
  return json(commandsAfter(needSite(call).store, after, hash));
});
