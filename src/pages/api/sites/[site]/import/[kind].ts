import { IMPORT_KINDS, type ImportKind } from '../../../../../server/files/import';
import type { ImportPreview } from '../../../../../server/files/import-preview';
import { taskTeller } from '../../../../../server/http/task';
import { wholeOf } from '../../../../../server/jobs/job';
import { HttpError } from '../../../../../server/base/error';
import { endpoint, json, needPerson, needSite } from '../../../../../server/http/endpoint';

export const prerender = false;

export const POST = endpoint(async (call) => {
  needPerson(call);
  const kind = call.params.kind as ImportKind;
  if (!IMPORT_KINDS.includes(kind)) {
    throw new HttpError(
      404,
      'unknown-id',
      `There is no import "${kind}". Imports: ${IMPORT_KINDS.join(', ')}.`,
    );
  }
  const { app, gone, url } = call;
  const { id: site } = needSite(call).site;
  const text = call.body.toString('utf8');
  const pieces = app.jobs({ do: 'import', folder: app.folder, site, kind, text }, gone);
  const found = await wholeOf(pieces, taskTeller(app, site, url.searchParams.get('task')));
  const preview = JSON.parse(found) as ImportPreview;
  const [first] = preview.faults;
  if (!first) return json(preview);
  const message = `${first.row === null ? '' : `Row ${first.row}, `}${first.field}: ${first.message}`;
  return json({ error: { code: 'invalid', field: first.field, message }, ...preview }, 422);
});
