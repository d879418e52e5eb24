import type { Id } from '../../core/record/types';
import type { SiteStore } from '../../store/site-store';
import type { JudgedRows } from '../../store/status';
import type { Jobs } from '../jobs/job';

/** Parts that a site is judged in at once. */
const PARTS = 2;

/**
 * Judges all that is marked of a site beside the thread that writes, which only takes the rows; what commands touch
 * meanwhile is marked again, and judged by itself.
 *
 * @param folder data folder
 * @param gone ends it; what was not judged yet stays marked
 */
async function judgeWide(
  store: SiteStore,
  { folder, at, jobs, gone }: { folder: string; at: string; jobs: Jobs; gone: AbortSignal },
): Promise<void> {
  store.statuses.beginWide();
  try {
    const parts = Array.from({ length: PARTS }, (_, part) => judgePart(store, jobs({ do: 'judge', folder, site: store.id, at, part, parts: PARTS }, gone))); // prettier-ignore
    await Promise.all(parts);
  } finally {
    store.statuses.endWide();
  }
}

async function judgePart(store: SiteStore, pieces: ReturnType<Jobs>): Promise<void> {
  for await (const piece of pieces) {
    if (!('text' in piece)) continue;
    const judged = JSON.parse(piece.text) as JudgedRows;
    store.transaction(() => store.statuses.takeWide(judged));
    // Commands that wait have their turn.
    await new Promise((done) => setImmediate(done));
  }
}

/** Sites that are judged beside this thread, and those where somebody has stopped that. */
export class Wide {
  readonly #running = new Map<Id, AbortController>();
  readonly #stopped = new Set<Id>();

  /**
   * @param folder data folder
   * @param jobs workers that judge
   * @param done told when a site's judging has ended, however it did
   */
  constructor(
    private readonly folder: string,
    private readonly jobs: Jobs,
    private readonly done: (site: Id) => void,
  ) {}

  /** Whether a site is judged beside this thread now, or was stopped. */
  has(site: Id): boolean {
    return this.#running.has(site) || this.#stopped.has(site);
  }

  isStopped(site: Id): boolean {
    return this.#stopped.has(site);
  }

  begin(store: SiteStore, at: string): void {
    const { id } = store;
    const control = new AbortController();
    this.#running.set(id, control);
    void judgeWide(store, { folder: this.folder, at, jobs: this.jobs, gone: control.signal })
      .catch((error: Error) => {
        if (!control.signal.aborted) console.error(`Judging anew has ended early: ${error.message}`);
      })
      .finally(() => {
        this.#running.delete(id);
        this.done(id);
      });
  }

  /** Ends judging a site until it is asked for again. */
  stop(site: Id): void {
    this.#stopped.add(site);
    this.#running.get(site)?.abort();
  }

  /** Goes on with a site that was stopped. */
  goOn(site: Id): void {
    this.#stopped.delete(site);
  }

  end(): void {
    for (const control of this.#running.values()) control.abort();
  }
}
