import { EXPORTS, typeOf, type ExportName } from '../../../../../server/files/export';
import { HttpError } from '../../../../../server/http/error';
import { endpoint, needSite } from '../../../../../server/http/endpoint';

export const prerender = false;

export const GET = endpoint(async (call) => {
  const { site } = needSite(call);
  const { app, gone } = call;
  const name = call.params.name as ExportName;
  if (!EXPORTS.includes(name)) {
    throw new HttpError(404, 'unknown-id', `There is no export "${name}". Exports: ${EXPORTS.join(', ')}.`);
  }
  const at = app.clock().toISOString();
  const text = await app.jobs({ do: 'export', folder: app.folder, site: site.id, name, at }, gone);
  const file = `${site.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-${name}`;
  return new Response(text, {
    headers: {
      'content-type': typeOf(name),
      'content-disposition': `attachment; filename="${file}"`,
      'cache-control': 'no-store',
    },
  });
});
