import type { TaskProgress } from '../../core/commands/news';
import type { Id } from '../../core/record/types';
import type { EventHub } from '../base/events';
import type { Piece } from '../jobs/job';

/** How often a page is told how far its task is, ms. */
const TELL_MS = 200;

/** Told how far a task is. */
export type Teller = (done: number, of: number) => void;

/**
 * Tells a page, by its event stream, how far a long request of it is.
 *
 * @param task name that the page has given it; without one nobody is told
 */
export function taskTeller({ events }: { events: EventHub }, site: Id, task: string | null): Teller {
  if (task === null || task.length > 64) return () => undefined;
  let next = 0;
  return (done, of) => {
    if (done < of && Date.now() < next) return;
    next = Date.now() + TELL_MS;
    events.send('task', { task, done, of } satisfies TaskProgress, site);
  };
}

/**
 * The text of a job as it comes, read no faster than whoever asked takes it. Resolves with its first piece, so that a
 * job that fails at once is answered with its reason; one that fails later breaks off.
 */
export async function streamOf(
  pieces: AsyncIterable<Piece>,
  told: Teller,
): Promise<ReadableStream<Uint8Array>> {
  const encoder = new TextEncoder();
  const texts = textsOf(pieces, told);
  const first = await texts.next();
  return new ReadableStream({
    start(controller) {
      if (first.done) controller.close();
      else controller.enqueue(encoder.encode(first.value));
    },
    async pull(controller) {
      const next = await texts.next();
      if (next.done) controller.close();
      else controller.enqueue(encoder.encode(next.value));
    },
    async cancel() {
      await texts.return(undefined);
    },
  });
}

async function* textsOf(pieces: AsyncIterable<Piece>, told: Teller): AsyncGenerator<string, undefined> {
  for await (const piece of pieces) {
    if ('text' in piece) yield piece.text;
    else told(piece.done, piece.of);
  }
}
