import type { Snapshot } from '../core/commands/news';
import { MemorySlice, type RecordChange, type Written } from '../core/record/slice';
import { TABLES } from '../core/record/tables';
import type { Id } from '../core/record/types';
import { recordsOf, type CopyHead } from './database';
import type { Keeper } from './keeper';
import { sliceOf } from './snapshot';
import { Subscribable } from './subscribable';

/** How long changes gather before they are written, ms. */
const GATHER_MS = 200;

/** The device's copy of one site: what the server had at a line of its journal, kept record by record. */
export class Copy extends Subscribable {
  records = new MemorySlice();
  /** The line that it stands at; null before there is a copy. */
  head: CopyHead | null = null;
  #unwritten = new Map<string, Written>();
  /** What changed since somebody asked, as it was before; null: all of it. */
  #changed: Map<string, RecordChange> | null = null;
  #timer: ReturnType<typeof setTimeout> | null = null;

  constructor(private readonly keeper: Keeper) {
    super();
  }

  /** Takes up the copy of a site that is kept here; without one it is empty. */
  async open(site: Id): Promise<void> {
    await this.settle();
    const head = await this.keeper.read((db) => db.get('copies', site), undefined);
    const records = new MemorySlice();
    if (head) {
      const range = recordsOf(site);
      const [keys, values] = await this.keeper.read(
        async (db) => {
          const store = db.transaction('records').store;
          return Promise.all([store.getAllKeys(range), store.getAll(range)]);
        },
        [[], []],
      );
      records.write(keys.map(([, table, id], i) => ({ table, id, after: values[i]! })));
    }
    this.records = records;
    this.#changed = null;
    this.head = head ?? null;
    this.changed();
  }

  /** Whether any copy of a site lies here. */
  has(site: Id): Promise<boolean> {
    return this.keeper.read(async (db) => (await db.getKey('copies', site)) !== undefined, false);
  }

  /** The site whose copy holds an entry; null where none does. */
  async siteOf(entry: Id): Promise<Id | null> {
    const sites = await this.keeper.read((db) => db.getAllKeys('copies'), []);
    for (const site of sites) {
      const found = await this.keeper.read((db) => db.getKey('records', [site, 'entry', entry]), undefined);
      if (found !== undefined) return site;
    }
    return null;
  }

  /** A whole copy as the server gives it. */
  async replace(site: Id, snapshot: Snapshot): Promise<void> {
    const { journal, seq, hash } = snapshot;
    this.#drop();
    this.records = sliceOf(snapshot);
    this.#changed = null;
    this.head = { site, journal, seq, hash };
    this.changed();
    const { head, records } = this;
    await this.keeper.write(async (db) => {
      const transaction = db.transaction(['records', 'copies'], 'readwrite');
      const store = transaction.objectStore('records');
      void store.delete(recordsOf(site));
      for (const table of TABLES)
        for (const record of records.all(table)) void store.put(record, [site, table, record.id]);
      void transaction.objectStore('copies').put(head);
      await transaction.done;
    });
  }

  /** Changes up to a line of the journal; only what changed is written. */
  write(changes: readonly Written[], seq: number, hash: string): void {
    if (!this.head) return;
    // What seals rest on stays on the server.
    changes = changes.filter(({ table }) => table !== 'frozen');
    this.#remember(changes);
    this.records.write(changes);
    this.head = { ...this.head, seq, hash };
    for (const change of changes) this.#unwritten.set(`${change.table} ${change.id}`, change);
    this.#timer ??= setTimeout(() => void this.settle(), GATHER_MS);
    this.changed();
  }

  #remember(changes: readonly Written[]): void {
    for (const { table, id, after } of changes) {
      const key = `${table} ${id}`;
      const known = this.#changed?.get(key);
      if (known) known.after = after;
      else this.#changed?.set(key, { table, id, before: this.records.get(table, id), after });
    }
  }

  /** What changed since this was asked last, each record once; null where another copy was taken up. */
  changes(): RecordChange[] | null {
    const changes = this.#changed && [...this.#changed.values()];
    this.#changed = new Map();
    return changes;
  }

  #settling: Promise<void> = Promise.resolve();

  /** Writes what has gathered: changes and the line that they reach to, together or not at all; done once all is kept. */
  async settle(): Promise<void> {
    const { head } = this;
    const changes = [...this.#unwritten.values()];
    this.#drop();
    if (head && changes.length > 0) this.#settling = both(this.#settling, this.#keep(head, changes));
    await this.#settling;
  }

  #keep(head: CopyHead, changes: readonly Written[]): Promise<boolean> {
    return this.keeper.write(async (db) => {
      const transaction = db.transaction(['records', 'copies'], 'readwrite');
      const store = transaction.objectStore('records');
      for (const { table, id, after } of changes) {
        if (after === null) void store.delete([head.site, table, id]);
        else void store.put(after, [head.site, table, id]);
      }
      void transaction.objectStore('copies').put(head);
      await transaction.done;
    });
  }

  #drop(): void {
    this.#unwritten = new Map();
    if (this.#timer) clearTimeout(this.#timer);
    this.#timer = null;
  }
}

/** Done when both are; what they gave is let go. */
async function both(one: Promise<unknown>, other: Promise<unknown>): Promise<void> {
  await Promise.all([one, other]);
}
