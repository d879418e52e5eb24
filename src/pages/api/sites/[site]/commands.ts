import { commandsAfter } from '../../../../server/app/sync';
import { lineAsk } from '../../../../server/http/asking';
import { endpoint, json, needSite } from '../../../../server/http/endpoint';

export const prerender = false;

/** The commands after a line of the journal. */
export const GET = endpoint((call) => {
  const { after, hash } = lineAsk(call.url);
  return json(commandsAfter(needSite(call).store, after, hash));
});
