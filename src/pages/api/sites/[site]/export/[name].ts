import { EXPORTS, exportOf, type ExportName } from '../../../../../server/files/export';
import { HttpError } from '../../../../../server/http/error';
import { endpoint, needSite } from '../../../../../server/http/endpoint';

export const prerender = false;

export const GET = endpoint((call) => {
  const { store, site } = needSite(call);
  const name = call.params.name as ExportName;
  if (!EXPORTS.includes(name)) {
    throw new HttpError(404, 'unknown-id', `There is no export "${name}". Exports: ${EXPORTS.join(', ')}.`);
  }
  const { type, text } = exportOf(store, name, call.app.clock().toISOString());
  const file = `${site.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-${name}`;
  return new Response(text, {
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="${file}"`,
      'cache-control': 'no-store',
    },
  });
});
