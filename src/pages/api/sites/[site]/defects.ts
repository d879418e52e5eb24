import { defectAsk, pageAnswer } from '../../../../server/http/asking';
import { endpoint, needSite } from '../../../../server/http/endpoint';

export const prerender = false;

/** Defects of a site, page by page. */
export const GET = endpoint((call) => pageAnswer(needSite(call).store.lists.defects(defectAsk(call))));
