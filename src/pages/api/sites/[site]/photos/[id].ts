import { readPhoto, storePhoto } from '../../../../../server/files/photos';
import { HttpError } from '../../../../../server/base/error';
import { endpoint, json, needPerson, needSite } from '../../../../../server/http/endpoint';

export const prerender = false;

export const PUT = endpoint(async (call) => {
  needPerson(call);
  const { store } = needSite(call);
  return json(await storePhoto({ store, writer: call.app.writer }, call.params.id ?? '', call.body));
});

export const GET = endpoint(async (call) => {
  const found = await readPhoto(needSite(call).store, call.params.id ?? '', longestAsk(call.url));
  if (!found) throw new HttpError(404, 'unknown-id', 'There is no photo with this id.');
  return new Response(new Uint8Array(found.bytes), {
    headers: { 'content-type': found.photo.type, 'cache-control': 'private, max-age=31536000, immutable' },
  });
});

/** Longest side that a copy may be asked for with, px. */
const [SMALLEST_PX, LARGEST_PX] = [100, 3000];

/** How large a copy is asked for; null for the photo as it is kept. */
function longestAsk({ searchParams }: URL): number | null {
  const asked = searchParams.get('longest');
  if (asked === null) return null;
  const px = Number(asked);
  if (!Number.isInteger(px) || px < SMALLEST_PX || px > LARGEST_PX)
    throw new HttpError(422, 'invalid', `longest is the longest side in px, ${SMALLEST_PX} to ${LARGEST_PX}.`, 'longest');
  return px;
} // prettier-ignore
