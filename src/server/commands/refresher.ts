import type { Id } from '../../core/record/types';
import type { SiteStores } from '../../store/site-stores';
import type { Clock } from '../base/clock';

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

/** How far judging a site again has come. */
export interface RefreshProgress {
  site: Id;
  /** Entries that are still to be judged. */
  left: number;
}

/** Judges again what commands have touched, beside them and never in their way. */
export class Refresher {
  readonly #touched = new Set<Id>();
  #timer: NodeJS.Timeout | null = null;
  /** When something was touched last, by the clock of `performance`. */
  #last = 0;

  constructor(
    private readonly sites: SiteStores,
    private readonly clock: Clock,
    private readonly told: (progress: RefreshProgress) => void = () => undefined,
  ) {}

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
      const left = this.sites.get(site)?.settle(this.clock().toISOString(), GO_MS) ?? 0;
      if (left === 0) this.#touched.delete(site);
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
    this.told({ site, left });
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
  }
}
