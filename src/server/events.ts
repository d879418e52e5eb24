/** One open event stream. */
interface Listener {
  send: (text: string) => void;
  end: () => void;
}

/** One multiplexed event stream per page, for instruments and for news of the journal. */
export class EventHub {
  readonly #listeners = new Set<Listener>();

  /** How many pages listen. */
  get size(): number {
    return this.#listeners.size;
  }

  /** Opens a stream; it ends when the reader goes away or the server stops. */
  open(): ReadableStream<Uint8Array> {
    const encoder = new TextEncoder();
    let listener: Listener;
    return new ReadableStream({
      start: (controller) => {
        listener = {
          send: (text) => {
            // A reader that does not keep up loses samples, never memory.
            if ((controller.desiredSize ?? 0) > -256) controller.enqueue(encoder.encode(text));
          },
          end: () => controller.close(),
        };
        this.#listeners.add(listener);
        listener.send('retry: 1000\n\n');
      },
      cancel: () => {
        this.#listeners.delete(listener);
      },
    });
  }

  /** Sends one event to every page. */
  send(event: string, data: unknown): void {
    const text = `event: ${event}\ndata: ${JSON.stringify(data)}\n\n`;
    for (const listener of this.#listeners) {
      try {
        listener.send(text);
      } catch {
        this.#listeners.delete(listener);
      }
    }
  }

  /** Ends every stream. */
  end(): void {
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
