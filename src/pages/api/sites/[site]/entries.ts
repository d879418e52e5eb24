import { dayIn } from '../../../../core/record/calendar';
import { ENTRY_STATES } from '../../../../core/record/finding';
import { KIND_IDS } from '../../../../core/record/kind-ids';
import { DUE_WHENS } from '../../../../core/programme/due-when';
import { ENTRY_SORTS } from '../../../../core/programme/lists';
import { listAsk, oneOf, pageAnswer } from '../../../../server/http/asking';
import { endpoint, needSite } from '../../../../server/http/endpoint';

export const prerender = false;

/** Entries of a site as lists show them, page by page. */
export const GET = endpoint((call) => {
  const { store, site } = needSite(call);
  const { url } = call;
  return pageAnswer(
    store.entries.page({
      ...listAsk(url),
      state: oneOf(url, 'state', ENTRY_STATES),
      area: url.searchParams.get('area') || null,
      kind: oneOf(url, 'kind', KIND_IDS),
      due: oneOf(url, 'due', DUE_WHENS),
      sort: oneOf(url, 'sort', ENTRY_SORTS) ?? 'tag',
      today: dayIn(call.app.clock().toISOString(), site.timeZone),
    }),
  );
});
