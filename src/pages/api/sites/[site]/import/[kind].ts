import { IMPORT_KINDS, previewImport, type ImportKind } from '../../../../../server/files/import';
import { HttpError } from '../../../../../server/http/error';
import { endpoint, json, needPerson, needSite } from '../../../../../server/http/endpoint';

export const prerender = false;

export const POST = endpoint((call) => {
  needPerson(call);
  const kind = call.params.kind as ImportKind;
  if (!IMPORT_KINDS.includes(kind)) {
    throw new HttpError(
      404,
      'unknown-id',
      `There is no import "${kind}". Imports: ${IMPORT_KINDS.join(', ')}.`,
    );
  }
  const preview = previewImport(needSite(call).store, kind, call.body.toString('utf8'));
  const [first] = preview.faults;
  if (!first) return json(preview);
  const message = `${first.row === null ? '' : `Row ${first.row}, `}${first.field}: ${first.message}`;
  return json({ error: { code: 'invalid', field: first.field, message }, ...preview }, 422);
});
