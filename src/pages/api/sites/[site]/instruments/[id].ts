import { handleInstrument } from '../../../../../server/instruments/handle';
import { endpoint, json, needPerson, needSite, readJson } from '../../../../../server/http/endpoint';

export const prerender = false;

export const POST = endpoint((call) => {
  needPerson(call);
  handleInstrument(call.app, needSite(call).store, call.params.id ?? '', readJson(call.body));
  return json({ ok: true });
});
