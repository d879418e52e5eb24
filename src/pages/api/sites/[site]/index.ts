import { snapshotOf } from '../../../../server/app/sync';
import { endpoint, json, needSite } from '../../../../server/http/endpoint';

export const prerender = false;

export const GET = endpoint((call) => json(snapshotOf(needSite(call).store)));
