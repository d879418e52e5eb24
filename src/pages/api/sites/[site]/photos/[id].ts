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
  const found = await readPhoto(needSite(call).store, call.params.id ?? '');
  if (!found) throw new HttpError(404, 'unknown-id', 'There is no photo with this id.');
  return new Response(new Uint8Array(found.bytes), {
    headers: { 'content-type': found.photo.type, 'cache-control': 'private, max-age=31536000, immutable' },
  });
});
