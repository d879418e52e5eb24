import { ApiError } from '../client/api';
import type { Judged, Snapshot } from '../core/commands/news';
import type { Scope } from '../core/record/closure';
import { OverlaySlice } from '../core/record/overlay';
import { MemorySlice, type RecordChange, type Written } from '../core/record/slice';
import { TABLES } from '../core/record/tables';
import type { Id } from '../core/record/types';
import { recordsOf, type CopyHead, type DeviceDb } from './database';
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
  /** Something is missing since the last news: the part is to be fetched again. */
  lacks = false;
  /** What is done with parts of a site, once one was here. */
  parts: typeof import('./parts').default | null = null;
  #unwritten = new Map<string, Written>();
  /** What was judged of the copy, not written yet; null for what counts no more. */
  #unwrittenJudged = new Map<Id, Judged | null>();
  /** What was kept of it with the copy that was taken up last, until somebody asks. */
  #judged: Judged[] = [];
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
    // Without the program for it, a part is as good as not here.
    const usable = await this.#openParts(head?.scope).then(() => true, () => false); // prettier-ignore
    const kept = head && usable && (await this.keeper.read((db) => keptOf(db, site), null));
    this.#judged = kept ? kept.judged : [];
    this.records = kept ? kept.records : new MemorySlice();
    this.#changed = null;
    this.lacks = false;
    // A version before has not known of taking enclosures and cables along.
    if (head?.scope)
      head.scope = {
        ...head.scope,
        enclosures: head.scope.enclosures ?? [],
        cables: head.scope.cables ?? [],
      };
    this.head = (kept && head) || null;
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
      const found = await this.keeper.read((db) => holds(db, site, entry), false);
      if (found) return site;
    }
    return null;
  }

  /** A whole copy as the server gives it, its records, and the text that it came as. */
  async replace(site: Id, snapshot: Snapshot, records: MemorySlice, text: string): Promise<void> {
    const { journal, seq, hash, scope } = snapshot;
    await this.#openParts(scope);
    this.#drop();
    this.lacks = false;
    this.records = records;
    this.#judged = snapshot.statuses;
    this.#changed = null;
    this.head = { site, journal, seq, hash, scope, bytes: text.length };
    this.changed();
    const { head } = this;
    await this.keeper.write(async (db) => {
      const { transaction, store, statuses } = writing(db);
      void store.delete(recordsOf(site));
      void statuses.delete(recordsOf(site));
      void transaction.objectStore('wholes').put(text, site);
      void transaction.objectStore('copies').put(head);
      await transaction.done;
    });
  }

  /** @throws ApiError with status 0 while the program cannot be had whole; it is tried again */
  async #openParts(scope: Scope | undefined): Promise<void> {
    if (!scope || this.parts) return;
    const { default: parts } = await import('./parts').catch(() => {
      throw new ApiError(0, 'unreached', 'The program cannot be read whole; it is tried again.');
    });
    this.parts = parts;
  }

  /** What was judged of the copy that was taken up last, as it was kept with it: told once. */
  judged(): Judged[] {
    const judged = this.#judged;
    this.#judged = [];
    return judged;
  }

  /** Keeps where entries stand, beside the records that they were judged by. */
  keepJudged(judged: readonly Judged[]): void {
    for (const one of judged) this.#unwrittenJudged.set(one.status.entry, one);
    this.#settleSoon();
  }

  /** What was judged of these counts no more: something has touched them. */
  forgetJudged(entries: Iterable<Id>): void {
    for (const entry of entries) this.#unwrittenJudged.set(entry, null);
    this.#settleSoon();
  }

  #settleSoon(): void {
    this.#timer ??= setTimeout(() => void this.settle(), GATHER_MS);
  }

  /** Changes up to a line of the journal; only what changed is written. */
  write(changes: readonly Written[], seq: number, hash: string): void {
    if (!this.head) return;
    // What seals rest on stays on the server.
    changes = changes.filter(({ table }) => table !== 'frozen');
    this.head = { ...this.head, seq, hash };
    this.#write(this.#concerning(changes));
  }

  /** What of some news belongs into the copy: all of it, or what concerns its part. */
  #concerning(changes: readonly Written[]): readonly Written[] {
    const { scope } = this.head!;
    if (!scope) return changes;
    // Tried on what is here: the copy itself is written once.
    const { written, lacks } = this.parts!.partNews(new OverlaySlice(this.records), scope, changes);
    if (lacks) this.lacks = true;
    return written;
  }

  #write(changes: readonly Written[]): void {
    this.#remember(changes);
    this.records.write(changes);
    for (const change of changes) this.#unwritten.set(`${change.table} ${change.id}`, change);
    this.#settleSoon();
    this.changed();
  }

  /**
   * Adds a part of the site to the part that is here.
   *
   * @returns false where the copy is further on already: what came is old
   */
  add({ journal, seq, records, statuses }: Snapshot, more: Scope, bytes: number): boolean {
    const { head } = this;
    if (!head?.scope || head.journal !== journal || seq < head.seq) return false;
    const changes: Written[] = [];
    for (const table of TABLES)
      for (const record of records[table])
        if (
          this.records.get(table, record.id)?.rev !== record.rev ||
          this.records.get(table, record.id) === null
        )
          changes.push({ table, id: record.id, after: record });
    // What is written takes with it what the copy is of.
    if (changes.length === 0) changes.push({ table: 'site', id: head.site, after: this.records.get('site', head.site) }); // prettier-ignore
    this.head = { ...head, scope: this.parts!.joined(head.scope, more), bytes: (head.bytes ?? 0) + bytes };
    this.#judged = [...this.#judged, ...statuses];
    this.keepJudged(statuses);
    this.#write(changes);
    return true;
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
    const judged = [...this.#unwrittenJudged];
    this.#drop();
    if (head && changes.length + judged.length > 0)
      this.#settling = bothDone(this.#settling, this.#keep(head, changes, judged));
    await this.#settling;
  }

  #keep(
    head: CopyHead,
    changes: readonly Written[],
    judged: readonly [Id, Judged | null][],
  ): Promise<boolean> {
    return this.keeper.write(async (db) => {
      const { transaction, store, statuses } = writing(db);
      const kept = await transaction.objectStore('copies').get(head.site);
      for (const [entry, one] of judged) {
        if (one === null) void statuses.put(null, [head.site, entry]);
        // Another tab of this browser may have kept a later copy: what was judged here is not of that one.
        else if (!kept || kept.seq <= head.seq) void statuses.put(one, [head.site, entry]);
      }
      if (changes.length === 0) return transaction.done;
      for (const { table, id, after } of changes) void store.put(after, [head.site, table, id]);
      void transaction.objectStore('copies').put(head);
      await transaction.done;
    });
  }

  #drop(): void {
    this.#unwritten = new Map();
    this.#unwrittenJudged = new Map();
    if (this.#timer) clearTimeout(this.#timer);
    this.#timer = null;
  }
}

/** A transaction that writes a copy, or something of it: together or not at all. */
function writing(db: DeviceDb) {
  const transaction = db.transaction(['wholes', 'records', 'copies', 'statuses'], 'readwrite');
  return { transaction, store: transaction.objectStore('records'), statuses: transaction.objectStore('statuses') }; // prettier-ignore
}

/** A copy as it is kept here: as it came, and what has become of it since. */
async function keptOf(db: DeviceDb, site: Id): Promise<{ records: MemorySlice; judged: Judged[] }> {
  const range = recordsOf(site);
  const transaction = db.transaction(['wholes', 'records', 'statuses']);
  const [text, keys, values, entries, since] = await Promise.all([
    transaction.objectStore('wholes').get(site),
    transaction.objectStore('records').getAllKeys(range),
    transaction.objectStore('records').getAll(range),
    transaction.objectStore('statuses').getAllKeys(range),
    transaction.objectStore('statuses').getAll(range),
  ]);
  // A copy of an earlier version of the program has its records alone.
  const came = text === undefined ? null : (JSON.parse(text) as Snapshot);
  const records = came ? sliceOf(came) : new MemorySlice();
  records.write(keys.map(([, table, id], i) => ({ table, id, after: values[i] ?? null })));
  const judged = new Map(came?.statuses.map((one) => [one.status.entry, one]));
  entries.forEach(([, entry], i) => {
    if (since[i]) judged.set(entry, since[i]);
    else judged.delete(entry);
  });
  return { records, judged: [...judged.values()] };
}

/** Whether a copy has an entry. */
async function holds(db: DeviceDb, site: Id, entry: Id): Promise<boolean> {
  const since = await db.get('records', [site, 'entry', entry]);
  if (since !== undefined) return since !== null;
  const text = await db.get('wholes', site);
  return text !== undefined && (JSON.parse(text) as Snapshot).records.entry.some(({ id }) => id === entry);
}

/** Done when both are; what they gave is let go. */
async function bothDone(one: Promise<unknown>, other: Promise<unknown>): Promise<void> {
  await Promise.all([one, other]);
}
