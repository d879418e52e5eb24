import { DEFECT_STATES } from '../../../../core/record/types';
import { listAsk, oneOf, pageAnswer } from '../../../../server/http/asking';
import { endpoint, needSite } from '../../../../server/http/endpoint';

export const prerender = false;

/** Defects of a site, page by page. */
export const GET = endpoint((call) => {
  const { url } = call;
  const severity = oneOf(url, 'severity', ['1', '2', '3', '4']);
  return pageAnswer(
    needSite(call).store.lists.defects({
      ...listAsk(url),
      state: oneOf(url, 'state', [...DEFECT_STATES, 'unproven']),
      severity: severity && Number(severity),
      entry: url.searchParams.get('entry') || null,
      sort: oneOf(url, 'sort', ['due', 'severity']) ?? 'due',
    }),
  );
});
