import { listAsk, pageAnswer } from '../../../../server/http/asking';
import { endpoint, needSite } from '../../../../server/http/endpoint';

export const prerender = false;

/** Enclosures of a site by what they are called, page by page. */
export const GET = endpoint((call) =>
  pageAnswer(needSite(call).store.lists.named('enclosure', listAsk(call.url))),
);
