import { monotonicFactory } from 'ulid';
import { api, ApiError, type Person } from '../client/api';
import { followClock, now } from '../client/clock';
import { Refusal, type AnyCommand, type CommandKind, type Payloads } from '../core/commands/commands';
import type { JournalEvent } from '../core/commands/news';
import type { Change, Id, Lost } from '../core/record/types';
import { Along } from './along';
import type { Backoff } from './backoff';
import { Copy } from './copy';
import { Courier } from './courier';
import type { KeptPhoto, Waiting } from './database';
import type { DeviceState } from './device-state';
import { Keeper } from './keeper';
import { Notices } from './notices';
import { Outbox } from './outbox';
import { openRules, rulesOpened } from './rules';
import { Session } from './session';
import { Shown } from './shown';
import { Statuses } from './statuses';
import { Subscribable } from './subscribable';
import { Tabs } from './tabs';
import { withWas } from './was';

/** So long the records go before the rules, ms. */
const RULES_MS = 500;
const after = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** This device, as the pages know it: what it shows, and what can be done with it. */
export class Device extends Subscribable {
  readonly #keeper = new Keeper();
  readonly #session = new Session(this.#keeper);
  readonly #copy = new Copy(this.#keeper);
  readonly #outbox = new Outbox(this.#keeper);
  readonly #notices = new Notices(this.#keeper);
  readonly #courier: Courier;
  readonly #shown = new Shown(this.#copy);
  readonly #view = this.#shown.view;
  /** What of a large site is taken along. */
  readonly along: Along;
  readonly #ulid = monotonicFactory();
  /** What of the records shown changed, entry by entry. */
  readonly touched = this.#shown.touched;
  /** Where the entries of the open site stand. */
  readonly statuses = new Statuses(
    this.touched,
    () => ({ slice: this.#view, site: this.#site, isHere: this.along.isHere }),
    (judged) => this.#copy.keepJudged(judged),
  );
  #site: Id | null = null;
  #ready: DeviceState['ready'] = 'loading';
  #state: DeviceState | null = null;
  #version = 0;
  readonly #tabs = new Tabs();
  /** Told when another tab of this browser signed somebody else in. */
  onOtherPerson: (person: Person) => void = () => undefined;

  constructor(backoff?: Backoff) {
    super();
    this.#courier = new Courier(this.#session, this.#copy, this.#outbox, { lost: (lost, change) => this.#heardLost(lost, change) }, backoff); // prettier-ignore
    this.along = new Along(this.#copy, this.#courier, this.#view);
    for (const part of [this.#keeper, this.#session, this.#courier, this.#notices])
      part.subscribe(() => this.#look());
    for (const part of [this.#copy, this.#outbox]) part.subscribe(() => this.#overlay());
  }

  readonly state = (): DeviceState => (this.#state ??= this.#built());

  #built(): DeviceState {
    const { person, people, sites, forgotten } = this.#session;
    const waiting = this.#outbox.readyFor(person).length;
    const all = this.#outbox.all.filter(({ refusal, held }) => !refusal && !held).length;
    return {
      ready: this.#ready,
      person,
      people,
      sites,
      site: this.#site,
      part: this.along.part,
      slice: this.#view,
      waiting,
      ofOthers: all - waiting,
      refused: this.#outbox.refused,
      held: this.#outbox.held,
      notices: this.#notices.all,
      trouble: this.#keeper.trouble,
      forgotten,
      online: this.#courier.online,
      version: this.#version,
    };
  }

  #look(): void {
    this.#version++;
    this.#state = null;
    this.changed();
  }

  /** Lays what waits over the copy anew: it costs as much as there waits. */
  #overlay(): void {
    this.#shown.relay(this.#outbox.all, this.#site);
    this.statuses.take(this.#copy.judged());
    if (this.#site !== null && (this.#copy.head?.site === this.#site || this.#outbox.makes(this.#site)))
      this.#ready = 'ready';
    this.#look();
  }

  /** What changes tells so by itself; a site that is only here yet has nothing that could. */
  #overlayFirst = (): void => void (this.#ready !== 'ready' && this.#overlay());

  /** Opens the device's store and shows what it remembers, then asks the server. */
  async start(site: Id | null, entry: Id | null): Promise<void> {
    await this.#keeper.open();
    await Promise.all([this.#session.remember(), this.#outbox.start(), this.#notices.load()]);
    this.#heardTabs();
    const chosen = site ?? (entry && (await this.#copy.siteOf(entry))) ?? this.#lastSite();
    // What waits is shown with the records, never after them.
    if (this.#outbox.all.length > 0) await this.#openRules();
    if (chosen) await this.#show(chosen);
    if (chosen && this.#copy.head === null && !this.#outbox.makes(chosen)) this.#courier.first.ask(chosen);
    const asked = this.#askServer(site, entry);
    if (this.#copy.head === null) {
      // What has to be fetched goes before the rules, and so do the lists of a large site.
      await Promise.race([asked, after(RULES_MS)]);
      if (this.along.part) await after(RULES_MS);
    }
    await Promise.all([this.#openRules(), asked]);
    this.#courier.first.forget();
  }

  #openRules = () => openRules().then(() => this.#overlay(), () => undefined); // prettier-ignore

  async #askServer(site: Id | null, entry: Id | null): Promise<void> {
    try {
      const [session, listed] = await Promise.all([api.session(), api.sites().catch(nullWithoutName)]);
      followClock(session.testClock ? session.now : null);
      this.#session.take(session, listed ?? undefined);
      if (!this.#session.person) return this.#askWho(site, entry);
      const { sites } = this.#session;
      const wanted = site ?? this.#site ?? this.#lastSite();
      const known = sites.some(({ id }) => id === wanted) || this.#outbox.makes(wanted);
      await this.openSite(known ? wanted : await this.#siteHolding(entry, sites));
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      this.#courier.online = false;
      if (this.#ready === 'loading') this.#ready = 'unreached';
      this.#look();
      this.#askAgain = setTimeout(() => void this.#askServer(site, entry), this.#asking.next());
    }
  }

  /** Nobody has said who they are yet: what is to be shown is asked for once they have. */
  #askWho(site: Id | null, entry: Id | null): void {
    this.#onceNamed = () => this.#askServer(site, entry);
    this.#ready = 'no-person';
    this.#look();
  }

  #onceNamed: (() => Promise<void>) | null = null;
  #askAgain: ReturnType<typeof setTimeout> | null = null;
  readonly #asking = { next: ((wait = 500) => () => (wait = Math.min(wait * 2, 30_000)) * (0.5 + Math.random() / 2))() }; // prettier-ignore

  async #siteHolding(entry: Id | null, sites: { id: Id }[]): Promise<Id | null> {
    if (entry === null || sites.length < 2) return sites[0]?.id ?? null;
    const [holding] = await api.siteOf(entry);
    return holding?.id ?? sites[0]!.id;
  }

  /** Shows a site and brings its copy up to date. */
  async openSite(site: Id | null): Promise<void> {
    if (site === null) {
      this.#ready = this.#session.person ? 'no-site' : 'no-person';
      return this.#look();
    }
    if (this.#site !== site) await this.#show(site);
    await this.refresh();
    void this.flush();
  }

  async #show(site: Id): Promise<void> {
    this.#site = site;
    this.#courier.wanted = site;
    localStorage.setItem('yendral.site', site);
    await this.#copy.open(site);
    this.#overlay();
  }

  #lastSite(): Id | null {
    const last = localStorage.getItem('yendral.site');
    const { sites } = this.#session;
    return sites.some(({ id }) => id === last) || this.#outbox.makes(last) ? last : (sites[0]?.id ?? null);
  }

  /** Takes the journal's news into the copy. */
  async refresh(): Promise<void> {
    await this.#courier.refresh();
    this.#overlayFirst();
  }

  /** What the server tells by itself of a site's journal. */
  hear(news: JournalEvent): void {
    this.#courier.hear(news);
  }

  /** Sends what waits. */
  async flush(): Promise<void> {
    if (!this.#session.person) return;
    await this.#courier.flush();
    this.#overlayFirst();
  }

  /** A new id, greater than every id made on this device before. */
  id(): Id {
    return this.#ulid();
  }

  /**
   * Gives a command: shown at once, kept on the device, sent when that is possible. A change carries what stood there
   * before, so that changes of several people are merged.
   *
   * @returns the command's id
   * @throws Refusal when the records on this device do not allow it
   */
  give<K extends CommandKind>(kind: K, payload: Payloads[K], site: Id | null = this.#site): Id {
    const { person } = this.#session;
    if (!person) throw new Refusal('invalid', 'person', 'person.none');
    if (site === null) throw new Refusal('invalid', 'site', 'site.choose');
    const given = { id: this.id(), kind, site, at: now(), payload: withWas(this.#view, kind, payload), person: person.id } as unknown as AnyCommand; // prettier-ignore
    const command = rulesOpened()?.withSaid(this.#view, given) ?? given;
    if (site === this.#site || kind !== 'site.add') this.#shown.give(command, person.name);
    const waiting: Waiting = { command, person: person.id, by: person.name, refusal: null };
    // Kept or not, it is sent: a device that keeps nothing must not lose what a server could have.
    void this.#outbox.add(waiting).then(() => {
      this.#tabs.tell({ is: 'outbox' });
      return this.flush();
    });
    this.#look();
    return command.id;
  }

  /**
   * Keeps a photo on the device until its bytes are sent.
   *
   * @throws Refusal when the device has no room for it
   */
  async keepPhoto(bytes: Blob): Promise<Id> {
    const id = this.id();
    if (await this.#outbox.keepPhoto({ id, bytes, site: this.#site ?? undefined })) return id;
    throw new Refusal('invalid', 'photo', 'photo.room');
  }

  /** A photo whose bytes are still here; null when the server has it. */
  readonly photo = async (id: Id): Promise<Blob | null> => (await this.#outbox.photo(id))?.bytes ?? null;

  /** A photo that the server refused, with the reason; null for any other. */
  async refusedPhoto(id: Id): Promise<KeptPhoto | null> {
    const photo = await this.#outbox.photo(id);
    return photo?.refusal ? photo : null;
  }

  /** Drops a command that was set aside, after the user has read why. */
  readonly drop = (command: Id): Promise<void> => this.#outbox.drop([command]);

  /** Sends a command again that was set aside. */
  async again(command: Id): Promise<void> {
    await this.#outbox.again(command);
    await this.flush();
  }

  /** Sends everything again that the server has lost. */
  async sendHeld(): Promise<void> {
    for (const { command } of this.#outbox.held) await this.#outbox.again(command.id);
    await this.flush();
  }

  /** Leaves everything out that the server has lost. */
  dropHeld(): Promise<void> {
    return this.#outbox.drop(this.#outbox.held.map(({ command }) => command.id));
  }

  /** Takes a notice away that was read. */
  dismiss(notice: string): void {
    this.#notices.dismiss(notice);
  }

  async signIn(name: string): Promise<void> {
    const { person } = await api.signIn(name);
    this.#session.become(person);
    this.#tabs.tell({ is: 'person', person });
    await this.#named();
    void this.flush();
  }

  /** Somebody has said who they are: what waited for that is asked now. */
  async #named(): Promise<void> {
    const then = this.#onceNamed;
    this.#onceNamed = null;
    await then?.();
  }

  #heardTabs(): void {
    this.#tabs.open({
      outbox: () => void this.#outbox.load().then(() => this.flush()),
      person: (person) => {
        const before = this.#session.person;
        this.#session.become(person);
        void this.#named();
        if (before && before.id !== person.id) this.onOtherPerson(person);
      },
    });
  }

  #heardLost(lost: Lost, change: Change): void {
    const me = this.#session.person?.name;
    if (!me || lost.by !== me || lost.standsBy === me) return;
    const id = `${change.id} ${lost.table} ${lost.id} ${lost.field}`;
    void openRules().then(({ lostWords }) => this.#notices.tell({ id, text: lostWords(this.#view, lost) }));
  }

  /** Stops talking to the server and to other tabs; what has gathered is written. */
  async close(): Promise<void> {
    if (this.#askAgain) clearTimeout(this.#askAgain);
    this.#tabs.close();
    await this.#courier.stop();
    await this.#copy.settle();
  }
}

/** Nothing is told to who has not said who they are; any other failure is one. */
function nullWithoutName(error: unknown): null {
  if (error instanceof ApiError && error.status === 401) return null;
  throw error;
}
