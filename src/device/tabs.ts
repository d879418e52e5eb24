import type { Person } from '../client/api';

/** News between the tabs of one browser: they share one person and one outbox. */
type TabNews = { is: 'person'; person: Person } | { is: 'outbox' };

/** The other tabs of this browser. */
export class Tabs {
  #channel: BroadcastChannel | null = null;

  /** Hears of them from here on. */
  open(heard: { outbox: () => void; person: (person: Person) => void }): void {
    if (typeof BroadcastChannel === 'undefined') return;
    this.#channel = new BroadcastChannel('yendral');
    this.#channel.onmessage = ({ data }: MessageEvent<TabNews>) =>
      data.is === 'outbox' ? heard.outbox() : heard.person(data.person);
  }

  tell(news: TabNews): void {
    this.#channel?.postMessage(news);
  }

  close(): void {
    this.#channel?.close();
    this.#channel = null;
  }
}
