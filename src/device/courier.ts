import { api, ApiError, type CommandAnswer } from '../client/api';
import { isRefusal } from '../core/commands/commands';
import type { JournalEvent, SiteNews } from '../core/commands/news';
import type { Written } from '../core/record/slice';
import type { Change, Id, Lost } from '../core/record/types';
import { FirstCopy } from './first-copy';
import { Backoff } from './backoff';
import type { Copy } from './copy';
import type { CopyHead, Sent, Waiting } from './database';
import type { Outbox } from './outbox';
import { sendPhotos } from './photo-post';
import { rulesOpened } from './rules';
import type { Session } from './session';
import { sliceOf } from './snapshot';
import { Subscribable } from './subscribable';

/** Commands that go in one request. */
const BATCH = 50;
/** Times that a server may fail on one command alone before it is set aside. */
const MOST_FAILURES = 3;
/** What can go in one request: a site that is made here takes photos, and what shows them, only once it is there. */
function untilMade(batch: readonly Waiting[]): Waiting[] {
  const made = batch.findIndex(({ command }) => command.kind === 'site.add');
  return made < 0 ? [...batch] : batch.slice(0, made + 1);
}

/** The page's turn between two parts of long work. */
const pause = (): Promise<void> => new Promise((done) => setTimeout(done));

/** What the courier tells whoever has it. */
export interface CourierNews {
  /** A value of somebody here was replaced by another, or came too late. */
  lost: (lost: Lost, change: Change) => void;
}

/** Carries commands to the server and its news back, over a network that loses, doubles, cuts and reorders. */
export class Courier extends Subscribable {
  online = true;
  #sending: Promise<void> | null = null;
  #looking: Promise<void> | null = null;
  #lookAgain = false;
  #retry: ReturnType<typeof setTimeout> | null = null;
  #stopped = false;
  readonly #failures = new Map<Id, number>();

  constructor(
    private readonly session: Session,
    private readonly copy: Copy,
    private readonly outbox: Outbox,
    private readonly news: CourierNews,
    private readonly backoff = new Backoff(),
  ) {
    super();
  }

  readonly #copyKept = () => this.copy.settle();

  /** Sends what waits, in order: photos first, since a command may show them. */
  flush(): Promise<void> {
    this.#sending ??= this.#sendAll().finally(() => (this.#sending = null));
    return this.#sending;
  }

  /** Takes the journal's news into the copy; calls that overlap share one look, and one more after it. */
  refresh(): Promise<void> {
    if (this.#looking) {
      this.#lookAgain = true;
      return this.#looking;
    }
    this.#looking = this.#look().finally(() => (this.#looking = null));
    return this.#looking;
  }

  /** What the server tells by itself: taken as it is where it follows on what is here, else asked for. */
  hear({ site, after, seq, head, changes }: JournalEvent): void {
    const at = this.copy.head;
    if (!at || at.site !== site || seq <= at.seq) return;
    if (changes === 'refetch' || after !== at.seq || this.#looking) return void this.refresh();
    this.copy.write(changes, seq, head);
    this.#tellLost(changes);
    const taken = changes.flatMap(({ table, id }) => (table === 'change' ? [{ id, seq }] : []));
    void this.#taken(taken);
    if (this.copy.lacks) void this.refresh();
  }

  #tellLost(changes: readonly Written[]): void {
    for (const { table, after } of changes) {
      if (table !== 'change' || after === null) continue;
      for (const lost of (after as Change).lost) this.news.lost(lost, after as Change);
    }
  }

  /** What the server has, though its answer never came, waits no longer. */
  async #taken(taken: readonly { id: Id; seq: number }[]): Promise<void> {
    const mine = new Set(this.outbox.all.map(({ command }) => command.id));
    await this.outbox.taken(taken.filter(({ id }) => mine.has(id)), this.#copyKept); // prettier-ignore
  }

  async #look(): Promise<void> {
    do {
      this.#lookAgain = false;
      await this.#tried(() => this.#catchUp());
    } while (this.#lookAgain);
  }

  /** Runs something that needs the server; what fails is tried again after a while. */
  async #tried(run: () => Promise<void>): Promise<void> {
    try {
      await run();
      this.#reached(true);
      this.backoff.reset();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      this.#reached(error.status !== 0);
      if (error.status === 401) await this.#askWho();
      this.#tryLater();
    }
  }

  /** The server does not know who is here any more; it may say who it takes this for. */
  async #askWho(): Promise<void> {
    try {
      this.session.take(await api.session());
    } catch {
      // It is asked again with the next try.
    }
  }

  #reached(online: boolean): void {
    if (this.online === online) return;
    this.online = online;
    this.changed();
  }

  #tryLater(): void {
    if (this.#retry || this.#stopped) return;
    this.#retry = setTimeout(() => {
      this.#retry = null;
      void this.refresh().then(() => this.flush());
    }, this.backoff.next());
  }

  /** Stops trying; done once what is on its way has come or failed. */
  async stop(): Promise<void> {
    this.#stopped = true;
    if (this.#retry) clearTimeout(this.#retry);
    await Promise.all([this.#looking, this.#sending]);
  }

  async #sendAll(): Promise<void> {
    await this.#tried(async () => {
      let most = BATCH;
      for (;;) {
        const batch = untilMade(this.outbox.readyFor(this.session.person).slice(0, most));
        if (batch.length === 0 || this.session.forgotten) return;
        await sendPhotos(this.outbox, this.wanted);
        const ready = batch.filter(({ command }) => this.outbox.all.some((one) => one.command.id === command.id && !one.refusal)); // prettier-ignore
        if (ready.length === 0) continue;
        most = (await this.#sendBatch(ready)) ? BATCH : Math.max(1, Math.floor(ready.length / 2));
      }
    });
  }

  /** Sends a batch. False when the server failed on it and smaller ones have to find out on what. */
  async #sendBatch(batch: readonly Waiting[]): Promise<boolean> {
    let answers: CommandAnswer[];
    try {
      ({ answers } = await api.send(batch.map(({ command }) => command)));
    } catch (error) {
      // Nothing wrong with the commands where the server is away, does not know who asks, or is busy.
      if (!(error instanceof ApiError) || [0, 401, 403, 429, 503].includes(error.status)) throw error;
      if (batch.length > 1) return false;
      await this.#failed(batch[0]!, error);
      return true;
    }
    await this.#takeAnswers(batch, answers);
    return true;
  }

  /** The server fails on one command alone: after some tries it stands aside with a word, and the rest goes on. */
  async #failed({ command }: Waiting, error: ApiError): Promise<void> {
    const times = (this.#failures.get(command.id) ?? 0) + 1;
    this.#failures.set(command.id, times);
    if (times < MOST_FAILURES) throw error;
    this.#failures.delete(command.id);
    await this.outbox.refuse(command.id, { code: 'fault', field: '', message: error.message });
  }

  async #takeAnswers(batch: readonly Waiting[], answers: readonly CommandAnswer[]): Promise<void> {
    const of = new Map(batch.map((waiting) => [waiting.command.id, waiting]));
    const applied = answers.flatMap((answer) =>
      answer.status === 'applied' && of.has(answer.id) ? [answer] : [],
    );
    const whole = this.#promote(applied, of);
    const first = this.copy.head === null;
    // What the copy does not show yet stays in the outbox until it does; a site's first copy comes once it is sent.
    if (!whole && !first) await this.#catchUp();
    await this.outbox.taken(applied, this.#copyKept);
    let other = false;
    for (const answer of answers) {
      if (answer.status === 'applied' || answer.id === null || !of.has(answer.id)) continue;
      const { id, code, field, message } = answer;
      // Somebody else is signed in with this browser: it waits until its own person is back.
      if (field === 'person') other = true;
      else await this.outbox.refuse(id, { code, field, message });
    }
    if (!whole && first) await this.#catchUp();
    if (other) {
      await this.#askWho();
      throw new ApiError(401, 'who', 'Somebody else is signed in.');
    }
    const answered = new Set(answers.map(({ id }) => id));
    if (batch.some(({ command }) => !answered.has(command.id)))
      throw new ApiError(500, 'fault', 'The server left commands unanswered.');
  }

  /**
   * What is shown already becomes the copy's own, without asking for it: as long as the server has taken nothing of
   * others between. False when the news have to be looked at.
   */
  #promote(
    applied: readonly (CommandAnswer & { status: 'applied' })[],
    of: ReadonlyMap<Id, Waiting>,
  ): boolean {
    const { head } = this.copy;
    const rules = rulesOpened();
    // A part of a site does not know all that the server went by.
    if (head && (head.scope || !rules)) return false;
    let whole = true;
    for (const { id, seq, hash, after, clamped } of [...applied].sort((a, b) => a.seq - b.seq)) {
      const { command, by } = of.get(id)!;
      if (!head || command.site !== head.site) {
        // A site that is made here has no copy yet: its first one is fetched.
        if (!head) whole = false;
        continue;
      }
      const at = this.copy.head!;
      if (seq <= at.seq) continue;
      if (clamped || after > at.seq || after < 0) whole = false;
      if (!whole) break;
      try {
        const changes = rules!.apply(this.copy.records, command, by);
        this.copy.write(changes, seq, hash);
      } catch (error) {
        if (!isRefusal(error)) throw error;
        whole = false;
      }
    }
    return whole;
  }

  async #catchUp(): Promise<void> {
    const site = this.wanted;
    if (site === null) return;
    const { head } = this.copy;
    if (!head || head.site !== site) return this.outbox.makes(site) ? undefined : this.#fetchWhole(site);
    if (this.copy.lacks) return this.#fetchWhole(site).then(() => this.#catchUp());
    const found = await api.newsAfter(site, head.seq, head.hash);
    if (this.copy.head !== head) return this.#catchUp();
    // Another database answers: the copy's line number means nothing there.
    if (found.journal !== head.journal) return this.#fetchWhole(site);
    if (found.back) return this.#goneBack(site);
    await this.#takeNews(head, found);
    if (this.copy.lacks) await this.#fetchWhole(site);
    if (found.more && this.copy.head?.site === site) await this.#catchUp();
  }

  /** The site that is shown; null for none. */
  wanted: Id | null = null;

  readonly first = new FirstCopy(api.snapshot);

  /** Fetches the copy anew: the whole site, or the part of it that is here. */
  async #fetchWhole(site: Id): Promise<void> {
    const { head } = this.copy;
    const scope = head?.site === site ? head.scope : undefined;
    const some = scope !== undefined && Object.values(scope).some((named: readonly Id[]) => named.length > 0);
    const { body: snapshot, text } = await (some ? api.part(site, scope) : this.first.of(site));
    await pause();
    const records = sliceOf(snapshot);
    await pause();
    if (site !== this.wanted) return;
    await this.copy.replace(site, snapshot, records, text);
  }

  async #takeNews(head: CopyHead, { taken, changes, seq, hash }: SiteNews): Promise<void> {
    if (changes.length > 0 || head.seq < seq || head.hash === '') this.copy.write(changes, seq, hash);
    this.#tellLost(changes);
    await this.#taken(taken);
  }

  /** The server has lost what it once took, as after restoring a backup: the device has it still, and offers it. */
  async #goneBack(site: Id): Promise<void> {
    const sent = await this.outbox.sentOf(site);
    const lost: Sent[] = [];
    for (let i = 0; i < sent.length; i += 1000) {
      const some = sent.slice(i, i + 1000);
      const { known } = await api.known(site, some.map(({ id }) => id)); // prettier-ignore
      const has = new Set(known);
      lost.push(...some.filter(({ id }) => !has.has(id)));
    }
    await this.#fetchWhole(site);
    await this.outbox.hold(lost);
  }
}
