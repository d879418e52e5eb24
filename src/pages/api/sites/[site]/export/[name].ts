import { EXPORTS, typeOf, type ExportName } from '../../../../../server/files/export';
import { streamOf, taskTeller } from '../../../../../server/http/task';
import { HttpError } from '../../../../../server/base/error';
import { endpoint, needSite } from '../../../../../server/http/endpoint';

export const prerender = false;

export const GET = endpoint(async (call) => {
  const { site } = needSite(call);
  const { app, gone, url } = call;
  const name = call.params.name as ExportName;
  if (!EXPORTS.includes(name)) {
    throw new HttpError(404, 'unknown-id', `There is no export "${name}". Exports: ${EXPORTS.join(', ')}.`);
  }
  const written = () => {
    const at = app.clock().toISOString();
    const pieces = app.jobs({ do: 'export', folder: app.folder, site: site.id, name, at }, gone);
    return streamOf(pieces, taskTeller(app, site.id, url.searchParams.get('task')));
  };
  const body = call.headOnly ? null : await written();
  const file = `${site.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-${name}`;
  return new Response(body, {
    headers: {
      'content-type': typeOf(name),
      'content-disposition': `attachment; filename="${file}"`,
      'cache-control': 'no-store',
    },
  });
});
