import { entryAsk, pageAnswer } from '../../../../server/http/asking';
import { endpoint, needSite } from '../../../../server/http/endpoint';

export const prerender = false;

/** Entries of a site as lists show them, page by page. */
export const GET = endpoint((call) => pageAnswer(needSite(call).store.entries.page(entryAsk(call))));
