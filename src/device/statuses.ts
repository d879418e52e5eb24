import { now } from '../client/clock';
import type { Judged } from '../core/commands/news';
import type { Slice } from '../core/record/slice';
import type { standingOf } from '../core/programme/standing';
import type { Id, Standing } from '../core/record/types';
import { openRules, rulesOpened } from './rules';
import { Subscribable } from './subscribable';
import type { Touched } from './touched';

/** How long judging for lists may hold a frame up, ms. */
const SLICE_MS = 8;
/** When lists hear of it while much is judged, ms: soon at first, then less and less often. */
const TELL_MS = { first: 150, most: 2400 };

interface Kept {
  version: number;
  status: Standing | null;
}

/** A moment has surely passed so long after it, ms. */
const AFTER_MS = 50;
/** No timer waits for longer, ms: a day. */
const MOST_MS = 86_400_000;

/**
 * Where the entries of a site stand, for lists and plans: kept from one look to the next, judged again only where
 * something touched the entry, a few at a time between two frames.
 */
export class Statuses extends Subscribable {
  readonly #kept = new Map<Id, Kept>();
  #queue = new Set<Id>();
  #timer: ReturnType<typeof setTimeout> | null = null;
  #told = 0;
  #wait = TELL_MS.first;
  /** Judged since it was kept last. */
  #unkept: Judged[] = [];
  /** How many entries were judged since the start. */
  judged = 0;

  constructor(
    private readonly touched: Touched,
    private readonly records: () => { slice: Slice; site: Id | null; isHere: (entry: Id) => boolean },
    private readonly keep: (judged: readonly Judged[]) => void = () => undefined,
  ) {
    super();
  }

  /** Takes what is known of entries that nothing has touched since the copy was taken up. */
  take(judged: readonly Judged[]): void {
    const version = this.touched.untouched;
    for (const { status } of judged) this.#kept.set(status.entry, { version, status });
    for (const { status } of judged) this.#noteAhead(status);
    if (judged.length > 0) this.changed();
  }

  /** Where an entry stands: as it was judged last, null before the first time; what is out of date is judged soon. */
  readonly of = (entry: Id): Standing | null => {
    const kept = this.#kept.get(entry);
    if (!kept || kept.version !== this.touched.versionOf(entry) || hasPassed(kept.status)) this.#want(entry);
    return kept?.status ?? null;
  };

  /** Entries at which time alone will alter something, few of them, and when. */
  readonly #ahead = new Map<Id, number>();
  #next = Infinity;
  #looking: ReturnType<typeof setTimeout> | null = null;

  #noteAhead({ entry, changes_at: at }: Standing): void {
    if (at) this.#ahead.set(entry, Date.parse(at));
    else this.#ahead.delete(entry);
    if (at && Date.parse(at) < this.#next) this.#await();
  }

  /** One timer for the site: lists ask again at the next moment at which anything may stand otherwise. */
  #await(): void {
    if (this.#looking) clearTimeout(this.#looking);
    this.#next = Math.min(...this.#ahead.values());
    if (this.#next === Infinity) return;
    const wait = Math.max(this.#next - Date.parse(now()), 0) + AFTER_MS;
    this.#looking = setTimeout(() => this.#pass(), Math.min(wait, MOST_MS));
  }

  #pass(): void {
    const at = Date.parse(now());
    const before = this.#ahead.size;
    for (const [entry, when] of this.#ahead) if (when <= at) this.#ahead.delete(entry);
    if (this.#ahead.size < before) this.changed();
    this.#await();
  }

  #want(entry: Id): void {
    this.#queue.add(entry);
    this.#timer ??= setTimeout(() => this.#work(), 0);
  }

  #work(): void {
    this.#timer = null;
    const rules = rulesOpened();
    // Asked again with the next look where it cannot be had.
    if (!rules) return void openRules().then(() => this.#work(), () => undefined); // prettier-ignore
    const until = performance.now() + SLICE_MS;
    for (const entry of this.#queue) {
      this.#queue.delete(entry);
      this.#judge(entry, rules.standingOf);
      if (performance.now() > until) break;
    }
    if (this.#queue.size > 0) this.#timer = setTimeout(() => this.#work(), 0);
    const more = this.#queue.size > 0;
    if (!more) this.keep(this.#unkept.splice(0));
    if (more && performance.now() - this.#told < this.#wait) return;
    this.#wait = more ? Math.min(this.#wait * 2, TELL_MS.most) : TELL_MS.first;
    this.#told = performance.now();
    this.changed();
  }

  #judge(entry: Id, judged: typeof standingOf): void {
    const { slice, site, isHere } = this.records();
    const version = this.touched.versionOf(entry);
    // Of what is here in part alone nothing can be said.
    const status = site === null || !isHere(entry) ? null : judged(slice, entry, site, now());
    this.#kept.set(entry, { version, status });
    if (status) this.#noteAhead(status);
    if (status) this.#unkept.push({ day: now().slice(0, 10), status });
    this.judged++;
  }
}

/** Whether time alone may have altered it; one that an earlier version has kept does not say when. */
const hasPassed = (status: Standing | null): boolean =>
  status !== null &&
  status.changes_at !== null &&
  (status.changes_at === undefined || status.changes_at <= now());
