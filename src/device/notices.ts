import type { Notice } from './database';
import type { Keeper } from './keeper';
import { Subscribable } from './subscribable';

/** Most notices that are kept; older ones stand in the history of their records. */
const MOST = 50;

/** What a person here has to be told, until they have read it. */
export class Notices extends Subscribable {
  all: Notice[] = [];

  constructor(private readonly keeper: Keeper) {
    super();
  }

  async load(): Promise<void> {
    const kept = await this.keeper.read((db) => db.get('facts', 'notices'), undefined);
    this.all = (kept as Notice[] | undefined) ?? [];
    this.changed();
  }

  /** Tells something once, however often it is heard. */
  tell(notice: Notice): void {
    if (this.all.some(({ id }) => id === notice.id)) return;
    this.#set([...this.all, notice].slice(-MOST));
  }

  dismiss(id: string): void {
    this.#set(this.all.filter((notice) => notice.id !== id));
  }

  #set(all: Notice[]): void {
    this.all = all;
    this.changed();
    void this.keeper.write((db) => db.put('facts', all, 'notices'));
  }
}
