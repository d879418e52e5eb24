import { taskTeller } from '../../../../../server/http/task';
import { wholeOf } from '../../../../../server/jobs/job';
import { kindOfEntries } from '../../../../../server/files/sheets-said';
import { endpoint, jsonText, needPerson, needSite } from '../../../../../server/http/endpoint';

export const prerender = false;

/** What an entry for each cable end would add; `kind` is that of the entries. */
export const POST = endpoint(async (call) => {
  needPerson(call);
  const { app, gone, url } = call;
  const { id: site } = needSite(call).site;
  const kind = kindOfEntries(url.searchParams.get('kind'));
  const pieces = app.jobs({ do: 'ends', folder: app.folder, site, kind }, gone);
  return jsonText(await wholeOf(pieces, taskTeller(app, site, url.searchParams.get('task'))));
});
