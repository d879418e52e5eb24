import { HttpError } from '../../../../server/base/error';
import { endpoint, json, needSite } from '../../../../server/http/endpoint';

export const prerender = false;

/** Marks of a plan at most. Chosen: each is some elements of a page, which keeps 5,000 at most. */
const MOST = 400;

/** Enclosures of an area with the worst of their entries, as a plan marks them. */
export const GET = endpoint((call) => {
  const area = call.url.searchParams.get('area');
  if (!area) throw new HttpError(422, 'invalid', 'Name the area: ?area=ID.', 'area');
  return json(needSite(call).store.entries.marks(area, MOST));
});
