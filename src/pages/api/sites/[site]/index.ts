import { firstCopyOf } from '../../../../server/app/sync';
import { endpoint, jsonText, needSite } from '../../../../server/http/endpoint';

export const prerender = false;

export const GET = endpoint((call) => jsonText(firstCopyOf(needSite(call).store, call.app.wholeMost)));
