import { listAsk, pageAnswer } from '../../../../server/http/asking';
import { endpoint, needSite } from '../../../../server/http/endpoint';

export const prerender = false;

/** Rounds of a site by what they are called, page by page. */
export const GET = endpoint((call) =>
  pageAnswer(needSite(call).store.lists.named('round', listAsk(call.url))),
);
