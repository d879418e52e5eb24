import type { InstrumentLine } from '../core/instrument/line';
import type { JournalEvent, JudgingProgress, TaskProgress } from '../core/commands/news';
import type { Id } from '../core/record/types';

/** What the one event stream brings. */
export interface EventHandlers {
  instrument: (line: InstrumentLine) => void;
  journal: (news: JournalEvent) => void;
  /** How far a long request of this page is. */
  task: (progress: TaskProgress) => void;
  /** How far the server is with judging the site anew. */
  judging: (progress: JudgingProgress) => void;
  /** Whether the stream is open. */
  open: (open: boolean) => void;
}

/** A stream of which nothing was heard for so long is dead, whatever the browser thinks, ms. */
const SILENCE_MS = 50_000;
/** How long to wait before a stream that was refused is asked for again, ms. */
const AGAIN_MS = 3000;

/**
 * The one multiplexed stream of the page. A page that is left closes its stream, since a browser may keep the
 * page, and six kept streams would block every other request to the server; it opens again when the page comes back.
 */
export class EventsClient {
  #source: EventSource | null = null;
  #site: Id | null = null;
  #heardMs = 0;

  constructor(private readonly handlers: EventHandlers) {
    window.addEventListener('pagehide', () => this.#close());
    window.addEventListener('pageshow', (event) => {
      if (event.persisted) this.#open();
    });
    setInterval(() => {
      if (this.#source && Date.now() - this.#heardMs > SILENCE_MS) this.#again(this.#source);
    }, AGAIN_MS);
  }

  /** Listens to a site; null to none. */
  listen(site: Id | null): void {
    if (site === this.#site) return;
    this.#site = site;
    this.#close();
    this.#open();
  }

  #close(): void {
    this.#source?.close();
    this.#source = null;
  }

  #open(): void {
    if (this.#site === null || this.#source) return;
    const { handlers } = this;
    const source = new EventSource(`/api/events/?sites=${encodeURIComponent(this.#site)}`);
    this.#source = source;
    this.#heardMs = Date.now();
    const hear = (name: string, told: (data: string) => void) =>
      source.addEventListener(name, (event) => {
        this.#heardMs = Date.now();
        told(event.data as string);
      });
    hear('instrument', (data) => handlers.instrument(JSON.parse(data) as InstrumentLine));
    hear('journal', (data) => handlers.journal(JSON.parse(data) as JournalEvent));
    hear('task', (data) => handlers.task(JSON.parse(data) as TaskProgress));
    hear('refreshing', (data) => handlers.judging(JSON.parse(data) as JudgingProgress));
    hear('alive', () => undefined);
    source.onopen = () => handlers.open(true);
    source.onerror = () => {
      handlers.open(false);
      // A stream that was refused does not come back by itself.
      if (source.readyState === EventSource.CLOSED) setTimeout(() => this.#again(source), AGAIN_MS);
    };
  }

  #again(refused: EventSource): void {
    if (this.#source !== refused) return;
    this.#close();
    this.#open();
  }
}
