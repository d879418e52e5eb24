import PQueue from 'p-queue';
import { Worker } from 'node:worker_threads';
import { HttpError } from '../base/error';
import type { Job, Jobs, Piece } from './job';

/** Jobs that run at once; the others wait their turn. */
const AT_ONCE = 2;
/** Memory that a job may take, MB: one that needs more ends, and the server does not. */
const MOST_MB = 1024;
/** Pieces that wait to be read; then the worker waits for its reader. */
export const MOST_WAITING = 32;

/** What a worker sends: a piece of its answer, what it is refused with, or that it is done. */
export type JobSaid = Piece | { fault: string } | { end: true };

/** What a worker is started with. */
export interface JobData {
  job: Job;
  /** One number that both sides see: pieces that were said and not read yet. */
  waiting: Int32Array;
}

/**
 * Jobs in workers beside the server's thread. Whoever goes away before their turn, or during it, ends theirs.
 *
 * @param file the bundled worker
 */
export function workerJobs(file: string): Jobs {
  const queue = new PQueue({ concurrency: AT_ONCE });
  return async function* (job, gone) {
    const leave = await turnIn(queue, gone);
    try {
      yield* piecesOf(file, job, gone);
    } finally {
      leave();
    }
  };
}

/** Waits for a turn; gives what ends it. */
function turnIn(queue: PQueue, gone?: AbortSignal): Promise<() => void> {
  return new Promise((resolve, reject) => {
    const turn = () => new Promise<void>((done) => resolve(done));
    queue.add(turn, gone ? { signal: gone } : {}).catch(reject);
  });
}

async function* piecesOf(file: string, job: Job, gone?: AbortSignal): AsyncGenerator<Piece> {
  // Gone while it waited for its turn: no event tells that any more.
  gone?.throwIfAborted();
  const waiting = new Int32Array(new SharedArrayBuffer(4));
  const workerData: JobData = { job, waiting };
  const worker = new Worker(file, { workerData, resourceLimits: { maxOldGenerationSizeMb: MOST_MB } });
  const said: JobSaid[] = [];
  let failed: Error | null = null;
  let wake = () => {};
  const fail = (error: Error) => {
    failed ??= error;
    wake();
  };
  const leave = () => fail(new Error('Whoever asked has gone away.'));
  gone?.addEventListener('abort', leave, { once: true });
  worker.on('message', (one: JobSaid) => {
    said.push(one);
    wake();
  });
  worker.on('error', (error: NodeJS.ErrnoException) => fail(tooMuch(error) ?? error));
  worker.on('exit', () => fail(new Error('The task ended before it had an answer.')));
  try {
    for (;;) {
      const one = said.shift();
      if (one === undefined) {
        if (failed) throw failed as Error;
        await new Promise<void>((resolve) => (wake = resolve));
        continue;
      }
      if ('end' in one) return;
      if ('fault' in one) throw new Error(one.fault);
      Atomics.sub(waiting, 0, 1);
      Atomics.notify(waiting, 0);
      yield one;
    }
  } finally {
    gone?.removeEventListener('abort', leave);
    void worker.terminate();
  }
}

const tooMuch = ({ code }: NodeJS.ErrnoException): HttpError | null =>
  code === 'ERR_WORKER_OUT_OF_MEMORY'
    ? new HttpError(413, 'too-large', 'This needs more memory than one task may take. Split the file, or export less at once.') // prettier-ignore
    : null;
