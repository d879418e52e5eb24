import { taskTeller } from '../../../../../server/http/task';
import { wholeOf } from '../../../../../server/jobs/job';
import { HttpError } from '../../../../../server/base/error';
import { endpoint, json, jsonText, needPerson, needSite } from '../../../../../server/http/endpoint';
import { saidOfSheets } from '../../../../../server/files/sheets-said';

export const prerender = false;

/** What a workbook or a table would change: the file is the body; `said` tells what its sheets are to be taken for. */
export const POST = endpoint(async (call) => {
  needPerson(call);
  const { app, gone, url } = call;
  const { id: site } = needSite(call).site;
  const name = (url.searchParams.get('name') ?? '').slice(0, 200) || 'table';
  const file = { bytes: call.body, name, said: saidOfSheets(url.searchParams.get('said')) };
  const pieces = app.jobs({ do: 'sheets', folder: app.folder, site, file }, gone);
  const found = await wholeOf(pieces, taskTeller(app, site, url.searchParams.get('task')));
  const answer = JSON.parse(found) as { fault?: string };
  if (answer.fault === undefined) return jsonText(found);
  if (call.body.length === 0)
    throw new HttpError(422, 'invalid', 'The file is empty; choose another.', '(file)');
  return json({ error: { code: 'invalid', field: '(file)', message: answer.fault } }, 422);
});
