import { squash, type Written } from '../../core/record/slice';
import type { JournalEvent } from '../../core/commands/news';
import type { Id } from '../../core/record/types';

/** How long news of a site gather before they are told, ms. */
const GATHER_MS = 250;
/** A sign of life keeps the stream open through whatever stands between, and tells its reader that it is, ms. */
const KEEP_ALIVE_MS = 20_000;
/** Changes of more than this are asked for by who wants them, characters. */
const MOST_TOLD = 64_000;

const encoder = new TextEncoder();

/** One open event stream. */
interface Listener {
  sites: ReadonlySet<Id>;
  send: (text: Uint8Array) => void;
  end: () => void;
}

/** One multiplexed event stream per page, for instruments and for news of the journals of some sites. */
export class EventHub {
  readonly #listeners = new Set<Listener>();
  readonly #gathered = new Map<Id, JournalEvent>();
  #gathering: NodeJS.Timeout | null = null;
  #ended = false;
  readonly #alive = setInterval(() => this.#toAll('event: alive\ndata: {}\n\n'), KEEP_ALIVE_MS).unref();

  /** How many pages listen. */
  get size(): number {
    return this.#listeners.size;
  }

  /** Opens a stream on some sites; it ends when the reader goes away or the server stops. */
  open(sites: readonly Id[]): ReadableStream<Uint8Array> {
    let listener: Listener;
    return new ReadableStream({
      start: (controller) => {
        // A server that stops opens nothing any more: its reader comes back to the next one.
        if (this.#ended) return controller.close();
        listener = {
          sites: new Set(sites),
          send: (text) => {
            // A reader that does not keep up loses samples, never memory.
            if ((controller.desiredSize ?? 0) > -256) controller.enqueue(text);
          },
          end: () => controller.close(),
        };
        this.#listeners.add(listener);
        listener.send(encoder.encode('retry: 1000\n\n'));
      },
      cancel: () => {
        this.#listeners.delete(listener);
      },
    });
  }

  /** Sends one event to every page that listens to a site. */
  send(event: string, data: unknown, site: Id): void {
    this.#toAll(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`, site);
  }

  /** News of a site's journal: told together with what comes in the next moment. */
  news(event: JournalEvent): void {
    const before = this.#gathered.get(event.site);
    this.#gathered.set(event.site, before ? together(before, event) : event);
    this.#gathering ??= setTimeout(() => this.#tell(), GATHER_MS).unref();
  }

  #tell(): void {
    this.#gathering = null;
    for (const event of this.#gathered.values()) {
      const changes = event.changes === 'refetch' ? event.changes : squash(event.changes);
      const told = JSON.stringify({ ...event, changes });
      const short = told.length > MOST_TOLD ? JSON.stringify({ ...event, changes: 'refetch' }) : told;
      this.#toAll(`event: journal\ndata: ${short}\n\n`, event.site);
    }
    this.#gathered.clear();
  }

  #toAll(said: string, site?: Id): void {
    const text = encoder.encode(said);
    for (const listener of this.#listeners) {
      if (site !== undefined && !listener.sites.has(site)) continue;
      try {
        listener.send(text);
      } catch {
        this.#listeners.delete(listener);
      }
    }
  }

  /** Ends every stream. */
  end(): void {
    this.#ended = true;
    if (this.#gathering) clearTimeout(this.#gathering);
    clearInterval(this.#alive);
    for (const listener of this.#listeners) {
      try {
        listener.end();
      } catch {
        // The reader was gone already.
      }
    }
    this.#listeners.clear();
  }
}

/** Two pieces of news of one site, one after the other. */
function together(first: JournalEvent, next: JournalEvent): JournalEvent {
  const whole = first.changes !== 'refetch' && next.changes !== 'refetch' && first.seq === next.after;
  // Added in place: news gather often.
  if (whole) for (const change of next.changes) (first.changes as Written[]).push(change as Written);
  const changes = whole ? first.changes : 'refetch';
  return { ...next, after: first.after, changes };
}
