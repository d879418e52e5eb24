import { HttpError } from '../../../../server/base/error';
import { endpoint, json, needPerson, needSite, readJson } from '../../../../server/http/endpoint';

export const prerender = false;

/** Ids that one question may hold. */
const MOST_IDS = 5000;

/** Which commands of a site were taken: a device asks it of a server that has gone back. */
export const POST = endpoint((call) => {
  needPerson(call);
  const { ids } = (readJson(call.body) ?? {}) as { ids?: unknown };
  const listed = Array.isArray(ids) && ids.length <= MOST_IDS && ids.every((id) => typeof id === 'string');
  if (!listed) throw new HttpError(422, 'invalid', `Send {"ids": […]} with at most ${MOST_IDS} ids.`, 'ids');
  return json({ known: needSite(call).store.journal.known(ids as string[]) });
});
