import type { InstrumentLine } from '../core/instrument/line';
import type { Id } from '../core/record/types';

/** What the one event stream brings. */
export interface EventHandlers {
  instrument: (line: InstrumentLine) => void;
  journal: (news: { site: Id; seq: number }) => void;
  /** Whether the stream is open. */
  open: (open: boolean) => void;
}

/**
 * Opens the one multiplexed stream of the page. A page that is left closes its stream, since a browser may keep the
 * page, and six kept streams would block every other request to the server; it opens again when the page comes back.
 */
export function openEvents(handlers: EventHandlers): void {
  let source = open(handlers);
  window.addEventListener('pagehide', () => source.close());
  window.addEventListener('pageshow', (event) => {
    if (event.persisted) source = open(handlers);
  });
}

function open(handlers: EventHandlers): EventSource {
  const source = new EventSource('/api/events/');
  source.addEventListener('instrument', (e) => handlers.instrument(JSON.parse(e.data) as InstrumentLine));
  source.addEventListener('journal', (e) =>
    handlers.journal(JSON.parse(e.data) as { site: Id; seq: number }),
  );
  source.onopen = () => handlers.open(true);
  source.onerror = () => handlers.open(false);
  return source;
}
