import { dayIn } from '../../core/record/calendar';
import { namedIn, type Scope } from '../../core/record/closure';
import { ENTRY_STATES } from '../../core/record/finding';
import { KIND_IDS } from '../../core/record/kind-ids';
import { DEFECT_STATES } from '../../core/record/types';
import { DUE_WHENS } from '../../core/programme/due-when';
import { ENTRY_SORTS, type EntryAsk, type ListAsk, type ListPage } from '../../core/programme/lists';
import type { DefectAsk } from '../../store/lists/records';
import { HttpError } from '../base/error';
import { json, needSite, type Call } from './endpoint';

/** Rows of a page where nothing is said, and at most. Chosen: a screen’s worth several times over; an answer of some 100 kB. */
const [USUAL_ROWS, MOST_ROWS] = [100, 500];
/** Letters of a search at most. */
const MOST_LETTERS = 200;

/** What an address asks of any list. */
export function listAsk({ searchParams }: URL): ListAsk {
  const limit = Number(searchParams.get('limit') ?? USUAL_ROWS);
  if (!Number.isInteger(limit) || limit < 1 || limit > MOST_ROWS)
    throw new HttpError(422, 'invalid', `limit is a number of rows, 1 to ${MOST_ROWS}.`, 'limit');
  return { q: (searchParams.get('q') ?? '').slice(0, MOST_LETTERS), after: searchParams.get('after') || null, limit };
} // prettier-ignore

/** The line of a journal that an address asks after, and its hash as the asker knows it; empty where they do not. */
export function lineAsk({ searchParams }: URL): { after: number; hash: string } {
  const after = Number(searchParams.get('after') || 'x');
  if (!Number.isInteger(after) || after < 0)
    throw new HttpError(422, 'invalid', 'after must be the number of a journal line.', 'after');
  return { after, hash: searchParams.get('hash') ?? '' };
}

/** Rounds, areas or entries that one question may name: its address stays short enough for every server between. */
const MOST_NAMED = 100;

/** What an address asks to be taken along: `round`, `area`, `enclosure`, `cable` and `entry`, each as often as there are some. */
export function scopeAsk({ searchParams: asked }: URL): Scope {
  const scope = {
    rounds: asked.getAll('round'),
    areas: asked.getAll('area'),
    enclosures: asked.getAll('enclosure'),
    cables: asked.getAll('cable'),
    entries: asked.getAll('entry'),
  };
  const named = namedIn(scope);
  if (named === 0 || named > MOST_NAMED)
    throw new HttpError(422, 'invalid', `Name what is to be taken along: 1 to ${MOST_NAMED} of round, area, enclosure, cable, entry.`, 'round');
  return scope;
} // prettier-ignore

/** The day at the site that an address names. */
export const todayAt = (call: Call): string =>
  dayIn(call.app.clock().toISOString(), needSite(call).site.timeZone);

/** What an address asks of the list of entries. */
export const entryAsk = (call: Call): EntryAsk => ({
  ...listAsk(call.url),
  state: oneOf(call.url, 'state', ENTRY_STATES),
  area: call.url.searchParams.get('area') || null,
  kinds: someOf(call.url, 'kind', KIND_IDS),
  due: oneOf(call.url, 'due', DUE_WHENS),
  sort: oneOf(call.url, 'sort', ENTRY_SORTS) ?? 'tag',
  today: todayAt(call),
});

/** What an address asks of the list of defects. */
export function defectAsk({ url }: Call): DefectAsk {
  const severity = oneOf(url, 'severity', ['1', '2', '3', '4']);
  return {
    ...listAsk(url),
    state: oneOf(url, 'state', [...DEFECT_STATES, 'unproven']),
    severity: severity && Number(severity),
    entry: url.searchParams.get('entry') || null,
    sort: oneOf(url, 'sort', ['due', 'severity']) ?? 'due',
  };
}

/**
 * One of the values that a field may have; null where the address does not name it.
 *
 * @throws HttpError that names them
 */
function oneOf<V extends string>({ searchParams }: URL, field: string, values: readonly V[]): V | null {
  const said = searchParams.get(field) || null;
  if (said === null || (values as readonly string[]).includes(said)) return said as V | null;
  throw new HttpError(422, 'invalid', `${field} is one of ${values.join(', ')}.`, field);
}

/**
 * The values of a field that an address names, as often as there are some; null where it names none.
 *
 * @throws HttpError that names them
 */
function someOf<V extends string>({ searchParams }: URL, field: string, values: readonly V[]): V[] | null {
  const said = searchParams.getAll(field).filter(Boolean);
  if (said.every((one): one is V => (values as readonly string[]).includes(one))) return said.length > 0 ? said : null; // prettier-ignore
  throw new HttpError(422, 'invalid', `${field} is one of ${values.join(', ')}.`, field);
}

/** A page as an answer; null: the place that it was to come after is none of this list. */
export function pageAnswer<R>(page: ListPage<R> | null): Response {
  if (page === null)
    throw new HttpError(422, 'invalid', 'after is the place that the page before has named. Begin again without it.', 'after'); // prettier-ignore
  return json(page);
}
