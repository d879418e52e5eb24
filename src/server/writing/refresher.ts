import type { JudgingProgress } from '../../core/commands/news';
import type { Id } from '../../core/record/types';
import type { SiteStores } from '../../store/site-stores';
import type { SiteStore } from '../../store/site-store';
import type { Clock } from '../base/clock';
import type { Jobs } from '../jobs/job';
import { Wide } from './wide';

/** Touched entries gather so long before they are judged again, ms: many readings of one entry are one judgement. */
const GATHER_MS = 1000;
/** How long judging may go on before commands have their turn, ms. */
const GO_MS = 10;
/** How long they have it where none is given, ms. */
const PAUSE_MS = 5;
/** While people record, commands have so many times as long as judging: a fifth of the thread is enough for it. */
const TURN = 4;
/** Nobody records any more when nothing was touched for so long, ms. */
const QUIET_MS = 200;
/** How long it waits where the disk does not let it, ms. */
const RETRY_MS = 5000;

/** So many entries are judged beside this thread; fewer are done sooner in it. */
const WIDE = 500;
/** How often pages are told how far it is, ms. */
const TELL_MS = 250;

/** Judges again what commands have touched, beside them and never in their way. */
export class Refresher {
  readonly #touched = new Set<Id>();
  #timer: NodeJS.Timeout | null = null;
  /** When something was touched last, by the clock of `performance`. */
  #last = 0;

  constructor(
    private readonly sites: SiteStores,
    private readonly clock: Clock,
    private readonly told: (progress: JudgingProgress) => void = () => undefined,
    beside: { folder: string; jobs: Jobs } | null = null,
  ) {
    this.#wide = beside && new Wide(beside.folder, beside.jobs, (site) => this.#ended(site));
  }

  /** Judges beside this thread; null where it has to be done here. */
  readonly #wide: Wide | null;
  #telling: NodeJS.Timeout | null = null;

  /** Ends judging a site anew; the rest stays marked until it is asked for. */
  halt(site: Id): void {
    this.#wide?.stop(site);
    this.#tell(site, this.sites.get(site)?.statuses.countStale() ?? 0);
  }

  /** Goes on judging a site that was stopped. */
  goOn(site: Id): void {
    this.#wide?.goOn(site);
    this.touch(site);
  }

  #begin(store: SiteStore, at: string): void {
    this.#wide!.begin(store, at);
    this.#telling ??= setInterval(() => {
      for (const site of this.#long) this.#tell(site, this.sites.get(site)?.statuses.countStale() ?? 0);
    }, TELL_MS).unref();
  }

  #ended(site: Id): void {
    // Others may go on, and are told.
    if (this.#long.size <= 1 && this.#telling) {
      clearInterval(this.#telling);
      this.#telling = null;
    }
    this.touch(site);
  }

  /** Entries of a site are stale. */
  touch(site: Id): void {
    this.#touched.add(site);
    this.#last = performance.now();
    this.#timer ??= setTimeout(() => this.#run(), GATHER_MS).unref();
  }

  #run(): void {
    this.#timer = null;
    let failed = false;
    const from = performance.now();
    for (const site of [...this.#touched]) if (!this.#settleSome(site)) failed = true;
    const now = performance.now();
    const wait = failed ? RETRY_MS : now - this.#last > QUIET_MS ? PAUSE_MS : TURN * (now - from);
    if (this.#touched.size > 0) this.#timer = setTimeout(() => this.#run(), wait).unref();
  }

  /** False where the disk or the file does not let it: what is stale stays marked, and is tried again. */
  #settleSome(site: Id): boolean {
    try {
      const store = this.sites.get(site);
      const at = this.clock().toISOString();
      const beside = this.#wide?.has(site) ?? false;
      const left = store?.settle(at, GO_MS, beside ? 'touched' : 'all') ?? 0;
      const here = beside ? store!.statuses.touched(1).length : left;
      if (here === 0) this.#touched.delete(site);
      if (store && this.#wide && !beside && left > WIDE) {
        this.#begin(store, at);
        this.#touched.delete(site);
      }
      // A few are done at once; more than that takes a while, and is told.
      if (left > 0 || this.#long.has(site)) this.#tell(site, left);
      return true;
    } catch (error) {
      console.error(`Judging again waits: ${(error as Error).message}`);
      return false;
    }
  }

  readonly #long = new Set<Id>();

  #tell(site: Id, left: number): void {
    if (left > 0) this.#long.add(site);
    else this.#long.delete(site);
    this.told({ site, left, stopped: this.#wide?.isStopped(site) ?? false });
  }

  /** Judges everything that is stale now. */
  finish(): void {
    for (const site of this.#touched)
      while ((this.sites.get(site)?.settle(this.clock().toISOString(), Infinity) ?? 0) > 0);
    this.#touched.clear();
  }

  /** Stops; what is still stale is marked so in its file, and judged after the next start. */
  stop(): void {
    if (this.#timer) clearTimeout(this.#timer);
    this.#timer = null;
    if (this.#telling) clearInterval(this.#telling);
    this.#telling = null;
    this.#wide?.end();
  }
}
