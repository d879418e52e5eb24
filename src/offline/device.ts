import { monotonicFactory } from 'ulid';
import { api, ApiError, type Person, type Session } from '../client/api';
import { followClock, now } from '../client/clock';
import { apply } from '../core/record/apply';
import {
  isRefusal,
  Refusal,
  type AnyCommand,
  type CommandKind,
  type Payloads,
} from '../core/record/commands';
import { MemorySlice, type Slice } from '../core/record/slice';
import type { Id } from '../core/record/types';
import { openDeviceDb, type DeviceDb, type Remembered, type Waiting } from './database';
import { snapshotOf, sliceOf } from './snapshot';

/** Commands that go in one request. */
const BATCH = 50;
/** Waiting time before the next try when the server is away, ms. */
const RETRY_MS = 3000;

/** What the pages show of the device. */
export interface DeviceState {
  /** Nothing can be shown yet; everything is there; or it cannot be had. */
  ready: 'loading' | 'ready' | 'no-person' | 'no-site' | 'unreached';
  person: Person | null;
  people: Person[];
  sites: { id: Id; name: string }[];
  site: Id | null;
  /** Records with everything on this device applied. */
  slice: Slice;
  waiting: number;
  refused: Waiting[];
  online: boolean;
  /** Grows with every change, so that a page knows when to look again. */
  version: number;
}

/** This device: its copy of one site, its outbox, and its talk with the server. */
export class Device {
  #db!: DeviceDb;
  #base = new MemorySlice();
  #baseSeq = -1;
  #journal = '';
  #view = new MemorySlice();
  #outbox: Waiting[] = [];
  #sending = false;
  #refreshing: Promise<void> | null = null;
  #again = false;
  #retry: ReturnType<typeof setTimeout> | null = null;
  #saving: ReturnType<typeof setTimeout> | null = null;
  readonly #listeners = new Set<() => void>();
  readonly #ulid = monotonicFactory();
  #state: DeviceState = {
    ready: 'loading',
    person: null,
    people: [],
    sites: [],
    site: null,
    slice: this.#view,
    waiting: 0,
    refused: [],
    online: true,
    version: 0,
  };

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  readonly state = (): DeviceState => this.#state;

  /** Opens the device's store and shows what it remembers, then asks the server. */
  async start(site: Id | null, entry: Id | null): Promise<void> {
    this.#db = await openDeviceDb();
    const remembered = ((await this.#db.get('facts', 'remembered')) ?? null) as Remembered | null;
    if (remembered?.session) this.#takeSession(remembered.session, remembered.sites);
    this.#outbox = (await this.#db.getAll('outbox')).sort((a, b) => (a.command.id < b.command.id ? -1 : 1));
    const chosen = site ?? (entry && (await this.#siteOfEntry(entry))) ?? this.#lastSite();
    if (chosen) await this.#loadCopy(chosen);
    await this.#askServer(site, entry);
  }

  async #askServer(site: Id | null, entry: Id | null): Promise<void> {
    try {
      const [session, sites] = await Promise.all([api.session(), api.sites()]);
      if (session.testClock) followClock(session.now);
      this.#takeSession(session, sites);
      await this.#db.put('facts', { session, sites } satisfies Remembered, 'remembered');
      const wanted = site ?? this.#state.site ?? this.#lastSite();
      const known = sites.some(({ id }) => id === wanted) || this.#isNew(wanted);
      await this.openSite(known ? wanted : await this.#siteHolding(entry, sites));
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      this.#set({ online: error.status !== 0 });
      if (this.#state.ready === 'loading') this.#set({ ready: 'unreached' });
      this.#retryLater();
    }
  }

  /** A site that is made on this device and not sent yet. */
  #isNew(site: Id | null): boolean {
    return this.#outbox.some(({ command }) => command.kind === 'site.add' && command.site === site);
  }

  async #siteHolding(entry: Id | null, sites: { id: Id }[]): Promise<Id | null> {
    if (entry === null || sites.length < 2) return sites[0]?.id ?? null;
    for (const { id } of sites) {
      const { records } = await api.snapshot(id);
      if (records.entry.some((record) => record.id === entry)) return id;
    }
    return sites[0]!.id;
  }

  /** Shows a site and brings its copy up to date. */
  async openSite(site: Id | null): Promise<void> {
    if (site === null) {
      this.#set({ ready: this.#state.person ? 'no-site' : 'no-person' });
      return;
    }
    if (this.#state.site !== site) await this.#loadCopy(site);
    await this.refresh();
    void this.flush();
  }

  /** Takes the journal's news into the copy; calls that overlap share one look, and one more after it. */
  async refresh(): Promise<void> {
    if (this.#refreshing) {
      this.#again = true;
      return this.#refreshing;
    }
    this.#refreshing = this.#catchUp().finally(() => (this.#refreshing = null));
    await this.#refreshing;
    if (!this.#again) return;
    this.#again = false;
    await this.refresh();
  }

  async #catchUp(): Promise<void> {
    const { site } = this.#state;
    if (site === null || (this.#isNew(site) && this.#baseSeq < 0)) return;
    try {
      if (this.#baseSeq < 0) {
        const snapshot = await api.snapshot(site);
        if (site !== this.#state.site) return;
        this.#base = sliceOf(snapshot);
        this.#baseSeq = snapshot.seq;
        this.#journal = snapshot.journal;
      } else {
        const { journal, seq, commands } = await api.commandsAfter(site, this.#baseSeq);
        if (site !== this.#state.site) return;
        if (journal !== this.#journal) {
          // Another database answers: the copy's line number means nothing there.
          this.#baseSeq = -1;
          return this.#catchUp();
        }
        for (const { command, person } of commands) this.#base.write(apply(this.#base, command, person));
        this.#baseSeq = seq;
      }
      this.#rebuild({ online: true });
      this.#saveCopy();
    } catch (error) {
      if (isRefusal(error)) {
        // The copy has drifted; the server's snapshot is right.
        this.#baseSeq = -1;
        return this.#catchUp();
      }
      if (!(error instanceof ApiError)) throw error;
      this.#set({ online: error.status !== 0 });
      this.#retryLater();
    }
  }

  /** A new id, greater than every id made on this device before. */
  id(): Id {
    return this.#ulid();
  }

  /**
   * Gives a command: shown at once, kept on the device, sent when that is possible.
   *
   * @returns the command's id
   * @throws Refusal when the records on this device do not allow it
   */
  give<K extends CommandKind>(kind: K, payload: Payloads[K], site: Id | null = this.#state.site): Id {
    const { person } = this.#state;
    if (!person) throw new Refusal('invalid', 'person', 'Say who you are first.');
    if (site === null) throw new Refusal('invalid', 'site', 'Choose a site first.');
    const command = { id: this.id(), kind, site, at: now(), payload } as unknown as AnyCommand;
    if (site === this.#state.site || kind !== 'site.add') {
      this.#view.write(apply(this.#view, command, person.name));
    }
    const waiting: Waiting = { command, person: person.id, by: person.name, refusal: null };
    this.#outbox.push(waiting);
    this.#changed();
    void this.#db.put('outbox', waiting).then(() => this.flush());
    return command.id;
  }

  /** Keeps a photo on the device until its bytes are sent. */
  async keepPhoto(bytes: Blob): Promise<Id> {
    const id = this.id();
    await this.#db.put('photos', { id, bytes, sent: false });
    return id;
  }

  /** A photo that has not been sent yet; null when the server has it. */
  async photo(id: Id): Promise<Blob | null> {
    return (await this.#db.get('photos', id))?.bytes ?? null;
  }

  /** Sends what waits, in order: photos first, since a command may show them. */
  async flush(): Promise<void> {
    if (this.#sending || !this.#state.person) return;
    this.#sending = true;
    try {
      for (;;) {
        const batch = this.#mine().slice(0, BATCH);
        if (batch.length === 0) break;
        await this.#sendPhotos();
        const { answers } = await api.send(batch.map(({ command }) => command));
        for (const answer of answers) await this.#takeAnswer(answer);
        await this.#caughtUp(answers.length < batch.length);
      }
      if (this.#state.waiting === 0) this.#set({ online: true });
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      this.#set({ online: error.status !== 0 });
      this.#retryLater();
    } finally {
      this.#sending = false;
    }
  }

  async #caughtUp(incomplete: boolean): Promise<void> {
    if (incomplete) throw new ApiError(500, 'fault', 'The server left commands unanswered.');
    await this.refresh();
  }

  async #takeAnswer(answer: Awaited<ReturnType<typeof api.send>>['answers'][number]): Promise<void> {
    const waiting = this.#outbox.find(({ command }) => command.id === answer.id);
    if (!waiting) return;
    if (answer.status === 'applied') {
      this.#outbox = this.#outbox.filter((other) => other !== waiting);
      await this.#db.delete('outbox', waiting.command.id);
      return;
    }
    const { code, field, message } = answer;
    waiting.refusal = { code, field, message };
    await this.#db.put('outbox', waiting);
  }

  async #sendPhotos(): Promise<void> {
    for (const photo of await this.#db.getAll('photos')) {
      try {
        if (!photo.sent) await api.sendPhoto(photo.id, photo.bytes);
        await this.#db.delete('photos', photo.id);
      } catch (error) {
        // A photo that the server refuses must not hold up everything else: its command is refused in turn.
        if (!(error instanceof ApiError) || ![409, 413, 415, 422].includes(error.status)) throw error;
        await this.#db.delete('photos', photo.id);
      }
    }
  }

  /** Drops a refused command after the user has read why. */
  async drop(command: Id): Promise<void> {
    this.#outbox = this.#outbox.filter((waiting) => waiting.command.id !== command);
    await this.#db.delete('outbox', command);
    this.#rebuild({});
  }

  async signIn(name: string): Promise<void> {
    const { person } = await api.signIn(name);
    const session = await api.session();
    this.#takeSession({ ...session, person }, this.#state.sites);
    await this.#db.put('facts', { session, sites: this.#state.sites } satisfies Remembered, 'remembered');
    if (this.#state.ready === 'no-person')
      await this.openSite(this.#state.site ?? this.#state.sites[0]?.id ?? null);
    void this.flush();
  }

  /** Commands of the signed-in person that are not refused; the name counts where the server gave a new id. */
  #mine(): Waiting[] {
    const { person } = this.#state;
    return this.#outbox.filter(
      (waiting) => !waiting.refusal && (waiting.person === person?.id || waiting.by === person?.name),
    );
  }

  #takeSession(session: Session, sites: { id: Id; name: string }[]): void {
    this.#set({ person: session.person, people: session.people, sites });
  }

  async #loadCopy(site: Id): Promise<void> {
    const copy = await this.#db.get('sites', site);
    this.#base = copy ? sliceOf(copy) : new MemorySlice();
    this.#baseSeq = copy ? copy.seq : -1;
    this.#journal = copy ? copy.journal : '';
    localStorage.setItem('yendral.site', site);
    this.#set({ site });
    if (copy || this.#isNew(site)) this.#rebuild({});
  }

  async #siteOfEntry(entry: Id): Promise<Id | null> {
    for (const copy of await this.#db.getAll('sites')) {
      if (copy.records.entry.some(({ id }) => id === entry)) return copy.id;
    }
    return null;
  }

  #lastSite(): Id | null {
    const last = localStorage.getItem('yendral.site');
    return this.#state.sites.some(({ id }) => id === last) || this.#isNew(last)
      ? last
      : (this.#state.sites[0]?.id ?? null);
  }

  /** The base with everything that waits on this device. */
  #rebuild(more: Partial<DeviceState>): void {
    const view = this.#base.copy();
    for (const { command, by, refusal } of this.#outbox) {
      if (refusal || command.site !== this.#state.site) continue;
      try {
        view.write(apply(view, command, by));
      } catch (error) {
        // It will be refused by the server too, and is shown then with the reason.
        if (!isRefusal(error)) throw error;
      }
    }
    this.#view = view;
    this.#changed(more);
  }

  #saveCopy(): void {
    const { site } = this.#state;
    if (this.#saving) clearTimeout(this.#saving);
    this.#saving = setTimeout(() => {
      if (site === this.#state.site && site !== null) {
        void this.#db.put('sites', { id: site, ...snapshotOf(this.#base, this.#journal, this.#baseSeq) });
      }
    }, 400);
  }

  #changed(more: Partial<DeviceState> = {}): void {
    const refused = this.#outbox.filter(({ refusal }) => refusal !== null);
    this.#set({
      ...more,
      ready: 'ready',
      slice: this.#view,
      waiting: this.#outbox.length - refused.length,
      refused,
    });
  }

  #set(more: Partial<DeviceState>): void {
    this.#state = { ...this.#state, ...more, version: this.#state.version + 1 };
    for (const listener of this.#listeners) listener();
  }

  #retryLater(): void {
    if (this.#retry) return;
    this.#retry = setTimeout(() => {
      this.#retry = null;
      if (this.#state.ready === 'unreached') void this.#askServer(null, null);
      else void this.refresh().then(() => this.flush());
    }, RETRY_MS);
  }
}
