import type { AnyCommand } from '../core/commands/commands';
import type { Id } from '../core/record/types';
import { upgradeCommand } from '../core/commands/upgrade';
import type { Person } from '../client/api';
import { ahead } from './ahead';
import type { KeptPhoto, Sent, Waiting } from './database';
import type { Keeper } from './keeper';
import { Subscribable } from './subscribable';

/** Commands that are kept after the server took them, in case it goes back behind them. */
const MOST_SENT = 3000;

/** What waits on this device to be sent, and what was set aside: commands in their order, and photos. */
export class Outbox extends Subscribable {
  #all: Waiting[] = [];

  constructor(private readonly keeper: Keeper) {
    super();
  }

  /** Takes up what the device has kept and what a page left behind that had no time to keep it. */
  async start(): Promise<void> {
    await this.#takeUpLeft();
    await this.load();
  }

  /** Takes up what the device has kept, lifted to this version of the program. */
  async load(): Promise<void> {
    const before = new Set(this.#all.map(({ command }) => command.id));
    const onlyHere = new Set(this.#unkept);
    const stored = await this.keeper.read((db) => db.getAll('outbox'), []);
    // While that was read, a command may have left, or come: neither may be undone by it.
    const kept = stored.filter(({ command }) => !this.#left.has(command.id));
    const known = new Set(kept.map(({ command }) => command.id));
    const here = this.#all.filter(
      ({ command: { id } }) =>
        !known.has(id) && (onlyHere.has(id) || this.#unkept.has(id) || !before.has(id)),
    );
    this.#all = [...kept.map((one) => ({ ...one, command: upgradeCommand(one.command) })), ...here].sort(
      (a, b) => (a.command.id < b.command.id ? -1 : 1),
    );
    this.changed();
    void this.#forgetOld();
  }

  /** What a page noted that was left before it could keep it; a command that was sent after all is answered as before. */
  async #takeUpLeft(): Promise<void> {
    for (const waiting of ahead.left()) {
      if (await this.keeper.write((db) => db.put('outbox', waiting))) ahead.kept(waiting.command.id);
    }
  }

  /** What could not be kept yet is only here. */
  readonly #unkept = new Set<Id>();
  /** What the server took while the copy that shows it is not kept yet: neither waiting nor on the list of what was sent. */
  readonly #settling = new Map<Id, Sent>();
  /** What has left from here: sent or dropped. */
  readonly #left = new Set<Id>();

  get all(): readonly Waiting[] {
    return this.#all;
  }

  /** Set aside with a reason. */
  get refused(): Waiting[] {
    return this.#all.filter(({ refusal }) => refusal);
  }

  /** Lost by the server after it was sent, until somebody says what becomes of it. */
  get held(): Waiting[] {
    return this.#all.filter(({ held, refusal }) => held && !refusal);
  }

  /** Commands of a person that can go, in order; the name counts where the server gave a new id. */
  readyFor(person: Person | null): Waiting[] {
    return this.#all.filter(
      ({ refusal, held, person: by, by: name }) =>
        !refusal && !held && (by === person?.id || name === person?.name),
    );
  }

  /** Whether a site was made here and is not sent yet. */
  makes(site: Id | null): boolean {
    return this.#all.some(({ command }) => command.kind === 'site.add' && command.site === site);
  }

  /** Adds a command; it counts at once, kept or not. True once it is kept. */
  async add(waiting: Waiting): Promise<boolean> {
    this.#all.push(waiting);
    this.#unkept.add(waiting.command.id);
    ahead.note(waiting);
    this.changed();
    const kept = await this.keeper.write((db) => db.put('outbox', waiting));
    if (kept) {
      this.#unkept.delete(waiting.command.id);
      ahead.kept(waiting.command.id);
    }
    return kept;
  }

  /**
   * The server has taken these: they leave the outbox, and are kept beside it. On the device they leave it only once
   * the copy that shows them is kept: a page that is loaded between must show them from one or the other.
   */
  async taken(answers: readonly { id: Id; seq: number }[], copyKept: () => Promise<void>): Promise<void> {
    const seqs = new Map(answers.map(({ id, seq }) => [id, seq]));
    const sent = this.#all.flatMap(({ command, person, by }): Sent[] => {
      const seq = seqs.get(command.id);
      return seq === undefined ? [] : [{ id: command.id, seq, command, person, by }];
    });
    if (sent.length === 0) return;
    for (const one of sent) this.#settling.set(one.id, one);
    this.#leave(new Set(sent.map(({ id }) => id)));
    await copyKept();
    for (const { id } of sent) ahead.kept(id);
    // What the server lost again meanwhile is held: it stays in the outbox.
    const still = sent.filter(({ id }) => this.#settling.delete(id));
    await this.keeper.write(async (db) => {
      const transaction = db.transaction(['outbox', 'sent'], 'readwrite');
      for (const one of still) {
        void transaction.objectStore('outbox').delete(one.id);
        void transaction.objectStore('sent').put(one);
      }
      await transaction.done;
    });
  }

  /** Sets a command aside with a reason; the others go on. */
  async refuse(command: Id, refusal: NonNullable<Waiting['refusal']>): Promise<void> {
    await this.#change(command, { refusal });
  }

  /** Lets a command go again that was set aside. */
  async again(command: Id): Promise<void> {
    await this.#change(command, { refusal: null, held: false });
  }

  async #change(id: Id, change: Partial<Waiting>): Promise<void> {
    const before = this.#all.find(({ command }) => command.id === id);
    if (!before) return;
    const after = { ...before, ...change };
    this.#all = this.#all.map((one) => (one === before ? after : one));
    this.changed();
    await this.keeper.write((db) => db.put('outbox', after));
  }

  /** Drops commands that were set aside, after somebody has read why. */
  async drop(ids: readonly Id[]): Promise<void> {
    this.#leave(new Set(ids));
    for (const id of ids) ahead.kept(id);
    await this.keeper.write(async (db) => {
      const transaction = db.transaction('outbox', 'readwrite');
      for (const id of ids) void transaction.store.delete(id);
      await transaction.done;
    });
  }

  #leave(ids: ReadonlySet<Id>): void {
    for (const id of ids) {
      this.#left.add(id);
      this.#unkept.delete(id);
    }
    this.#all = this.#all.filter(({ command }) => !ids.has(command.id));
    this.changed();
  }

  /** Commands of a site that the server once took, those included whose copy is being kept just now. */
  async sentOf(site: Id): Promise<Sent[]> {
    const settling = [...this.#settling.values()];
    const kept = await this.keeper.read((db) => db.getAll('sent'), []);
    const all = new Map([...settling, ...kept].map((one) => [one.id, one]));
    return [...all.values()].filter(({ command }) => command.site === site);
  }

  /** The server has lost these: they wait here until somebody says what becomes of them. */
  async hold(lost: readonly Sent[]): Promise<void> {
    const here = new Set(this.#all.map(({ command }) => command.id));
    const back = lost.filter(({ id }) => !here.has(id)).map(({ command, person, by }): Waiting => ({ command, person, by, refusal: null, held: true })); // prettier-ignore
    if (back.length === 0) return;
    for (const { command } of back) {
      this.#left.delete(command.id);
      this.#settling.delete(command.id);
    }
    this.#all = [...this.#all, ...back].sort((a, b) => (a.command.id < b.command.id ? -1 : 1));
    this.changed();
    await this.keeper.write(async (db) => {
      const transaction = db.transaction(['outbox', 'sent'], 'readwrite');
      for (const waiting of back) {
        void transaction.objectStore('outbox').put(waiting);
        void transaction.objectStore('sent').delete(waiting.command.id);
      }
      await transaction.done;
    });
  }

  async #forgetOld(): Promise<void> {
    await this.keeper.write(async (db) => {
      const keys = await db.getAllKeys('sent');
      if (keys.length <= MOST_SENT) return;
      await db.delete('sent', IDBKeyRange.upperBound(keys[keys.length - MOST_SENT - 1]!));
    });
  }

  /** Keeps a photo until its bytes are sent. False when it cannot be kept. */
  keepPhoto(photo: KeptPhoto): Promise<boolean> {
    return this.keeper.write((db) => db.put('photos', photo));
  }

  photos(): Promise<KeptPhoto[]> {
    return this.keeper.read((db) => db.getAll('photos'), []);
  }

  /** A photo whose bytes are still here; null when the server has them. */
  photo(id: Id): Promise<KeptPhoto | null> {
    return this.keeper.read(async (db) => (await db.get('photos', id)) ?? null, null);
  }

  /** The bytes of a photo have arrived. */
  photoSent(id: Id): Promise<boolean> {
    return this.keeper.write((db) => db.delete('photos', id));
  }

  /** The server does not take a photo: it stays here, and the commands that show it are set aside with its reason. */
  async photoRefused(photo: KeptPhoto, reason: string): Promise<void> {
    await this.keepPhoto({ ...photo, refusal: reason });
    for (const { command } of this.#all.filter(({ refusal }) => !refusal))
      if (photosIn(command).includes(photo.id))
        await this.refuse(command.id, { code: 'photo', field: 'payload.photo', message: reason });
  }
}

/** Ids of the photos that a command shows. */
export function photosIn(command: AnyCommand): Id[] {
  if (command.kind === 'look.answer') return command.payload.photo ? [command.payload.photo] : [];
  if (command.kind === 'defect.raise') return command.payload.photos;
  return command.kind === 'defect.edit' ? (command.payload.set.photos ?? []) : [];
}
