import PQueue from 'p-queue';
import { Worker } from 'node:worker_threads';
import { HttpError } from '../base/error';
import type { Job, Jobs, Piece } from './job';

/** Jobs that run at once; the others wait their turn. */
const AT_ONCE = 2;
/** Memory that a job may take, MB: one that needs more ends, and the server does not. */
const MOST_MB = 1024;
/** Pieces that wait to be read; then the worker waits for its reader. Chosen: a few megabytes. */
export const MOST_WAITING = 32;

/** What a worker sends: a piece of its answer, what it is refused with, or that it is done. */
export type JobSaid = Piece | { fault: string } | { end: true };

/** What a worker is given to do. */
export interface JobGiven {
  job: Job;
  /** One number that both sides see: pieces that were said and not read yet. */
  waiting: Int32Array;
}

/** A worker is started this long after the server, so that the first job need not wait for its program, ms. */
const READY_AFTER_MS = 2000;

/**
 * Jobs in workers beside the server's thread, which are kept for the next: starting one takes longer than most jobs.
 * Whoever goes away before their turn, or during it, ends theirs.
 *
 * @param file the bundled worker
 */
export function workerJobs(file: string): Jobs {
  const queue = new PQueue({ concurrency: AT_ONCE });
  const bench = new Bench(file);
  setTimeout(() => bench.ready(), READY_AFTER_MS).unref();
  return async function* (job, gone) {
    const leave = await turnIn(queue, gone);
    try {
      yield* piecesOf(bench, { job, gone, leave });
    } finally {
      leave();
    }
  };
}

/** Workers that wait for a job. None of them keeps the process alive. */
class Bench {
  readonly #idle: Worker[] = [];
  readonly #living = new Set<Worker>();

  constructor(private readonly file: string) {}

  take(): Worker {
    const worker = this.#idle.pop() ?? this.#made();
    worker.ref();
    return worker;
  }

  give(worker: Worker): void {
    worker.unref();
    this.#idle.push(worker);
  }

  /** Ends one that cannot be taken again, and has another ready. */
  discard(worker: Worker): void {
    this.#living.delete(worker);
    void worker.terminate();
    this.ready();
  }

  /** Has one ready, or at work. */
  ready(): void {
    if (this.#living.size === 0) this.give(this.#made());
  }

  #made(): Worker {
    const worker = new Worker(this.file, { resourceLimits: { maxOldGenerationSizeMb: MOST_MB } });
    this.#living.add(worker);
    const forget = () => {
      this.#living.delete(worker);
      const at = this.#idle.indexOf(worker);
      if (at >= 0) this.#idle.splice(at, 1);
    };
    // One that fails while it waits is taken by nobody.
    return worker.on('error', forget).on('exit', forget);
  }
}

/** Waits for a turn; gives what ends it. */
function turnIn(queue: PQueue, gone?: AbortSignal): Promise<() => void> {
  return new Promise((resolve, reject) => {
    const turn = () => new Promise<void>((done) => resolve(done));
    queue.add(turn, gone ? { signal: gone } : {}).catch(reject);
  });
}

/** A job in its turn. */
interface Turn {
  job: Job;
  gone: AbortSignal | undefined;
  /** Ends the turn. */
  leave: () => void;
}

async function* piecesOf(bench: Bench, { job, gone, leave }: Turn): AsyncGenerator<Piece> {
  // Gone while it waited for its turn: no event tells that any more.
  gone?.throwIfAborted();
  const waiting = new Int32Array(new SharedArrayBuffer(4));
  const worker = bench.take();
  const said: JobSaid[] = [];
  let failed: Error | null = null;
  let ended = false;
  let wake = () => {};
  const fail = (error: Error) => {
    failed ??= error;
    wake();
  };
  const hear = (one: JobSaid) => {
    said.push(one);
    wake();
  };
  const breakDown = (error: NodeJS.ErrnoException) => fail(tooMuch(error) ?? error);
  const exit = () => fail(new Error('The task ended before it had an answer.'));
  // Nobody may ask for the next piece any more: the turn ends here, not when somebody does.
  const goAway = () => {
    fail(new Error('Whoever asked has gone away.'));
    if (!ended) void worker.terminate();
    leave();
  };
  gone?.addEventListener('abort', goAway, { once: true });
  worker.on('message', hear).on('error', breakDown).on('exit', exit);
  worker.postMessage({ job, waiting } satisfies JobGiven);
  try {
    for (;;) {
      const one = said.shift();
      if (one === undefined) {
        if (failed) throw failed as Error;
        await new Promise<void>((resolve) => (wake = resolve));
        continue;
      }
      ended = 'end' in one || 'fault' in one;
      if ('end' in one) return;
      if ('fault' in one) throw new Error(one.fault);
      Atomics.sub(waiting, 0, 1);
      Atomics.notify(waiting, 0);
      yield one;
    }
  } finally {
    gone?.removeEventListener('abort', goAway);
    worker.off('message', hear).off('error', breakDown).off('exit', exit);
    if (ended && !failed) bench.give(worker);
    else bench.discard(worker);
  }
}

const tooMuch = ({ code }: NodeJS.ErrnoException): HttpError | null =>
  code === 'ERR_WORKER_OUT_OF_MEMORY'
    ? new HttpError(413, 'too-large', 'This needs more memory than one task may take. Split the file, or export less at once.') // prettier-ignore
    : null;
