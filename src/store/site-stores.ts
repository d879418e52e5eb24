import { mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Id } from '../core/record/types';
import { leaveCheckpoints } from './open';
import { SiteStore } from './site-store';

/** Files that are open at once; the one that was asked for longest ago makes room. */
const MOST_OPEN = 32;

/** An id that may name a folder. */
const FOLDER_NAME = /^[A-Za-z0-9][A-Za-z0-9_.:-]{0,63}$/;

/** The sites' files, each opened when it is asked for. */
export class SiteStores {
  readonly #open = new Map<Id, SiteStore>();
  #left = false;
  #reading = false;

  /**
   * @param folder folder that holds a folder per site
   * @param migrations folder of the numbered `.sql` files of a site
   * @param now time for what a site's chain says of being brought up
   */
  constructor(
    private readonly folder: string,
    private readonly migrations: string,
    private readonly now: () => string,
  ) {
    mkdirSync(folder, { recursive: true });
  }

  /** A site's file; null where there is none of this id. */
  get(id: Id): SiteStore | null {
    const known = this.#open.get(id);
    if (known && this.#reading && !SiteStore.exists(known.folder)) this.#drop(known);
    else if (known) {
      // The last asked for stands last.
      this.#open.delete(id);
      this.#open.set(id, known);
      return known;
    }
    if (!FOLDER_NAME.test(id) || !SiteStore.exists(join(this.folder, id))) return null;
    return this.#opened(id);
  }

  /** A new site's file, empty. */
  make(id: Id): SiteStore {
    if (!FOLDER_NAME.test(id)) throw new Error(`"${id}" names no folder`);
    mkdirSync(join(this.folder, id, 'photos'), { recursive: true });
    return this.#opened(id);
  }

  #opened(id: Id): SiteStore {
    for (const [first, store] of this.#open) {
      if (this.#open.size < MOST_OPEN) break;
      this.#open.delete(first);
      store.close(this.#left);
    }
    const folder = join(this.folder, id);
    const store = this.#reading ? SiteStore.read(id, folder) : SiteStore.open(id, folder, this.migrations, this.now()); // prettier-ignore
    if (this.#left) leaveCheckpoints(store.db, true);
    this.#open.set(id, store);
    return store;
  }

  #drop(store: SiteStore): void {
    this.#open.delete(store.id);
    store.close(this.#left);
  }

  /** From here on somebody else writes: files are only read. */
  onlyRead(): void {
    this.close();
    this.#reading = true;
  }

  /** Takes a site's file away that holds nothing, as after a first command that was refused. */
  dropEmpty(id: Id): void {
    const store = this.get(id);
    if (!store || store.journal.head().seq > 0) return;
    this.#open.delete(id);
    store.close();
    rmSync(store.folder, { recursive: true, force: true });
  }

  /** Ids of every site that has a file. */
  ids(): Id[] {
    return readdirSync(this.folder)
      .filter((name) => FOLDER_NAME.test(name) && SiteStore.exists(join(this.folder, name)))
      .sort();
  }

  /** Whether a replicator copies the logs into the databases from now on. */
  leaveCheckpoints(left: boolean): void {
    if (left === this.#left) return;
    this.#left = left;
    for (const store of this.#open.values()) leaveCheckpoints(store.db, left);
  }

  /** How many files are open. */
  get size(): number {
    return this.#open.size;
  }

  close(): void {
    for (const store of this.#open.values()) store.close(this.#left);
    this.#open.clear();
  }
}
