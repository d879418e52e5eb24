import PQueue from 'p-queue';
import { Worker } from 'node:worker_threads';
import { HttpError } from '../http/error';
import type { Job, Jobs } from './job';

/** Jobs that run at once; the others wait their turn. */
const AT_ONCE = 2;
/** Memory that a job may take, MB: one that needs more ends, and the server does not. */
const MOST_MB = 1024;

/** What a worker sends: the answer, or what it is refused with. */
export type JobAnswer = { text: string } | { fault: string };

/**
 * Jobs in workers beside the server's thread. Whoever goes away before their turn, or during it, ends theirs.
 *
 * @param file the bundled worker
 */
export function workerJobs(file: string): Jobs {
  const queue = new PQueue({ concurrency: AT_ONCE });
  return async (job, gone) => {
    const text = await queue.add(() => run(file, job, gone), gone ? { signal: gone } : {});
    return text as string;
  };
}

function run(file: string, job: Job, gone?: AbortSignal): Promise<string> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(file, { workerData: job, resourceLimits: { maxOldGenerationSizeMb: MOST_MB } });
    const end = () => void worker.terminate();
    gone?.addEventListener('abort', end, { once: true });
    worker.once('message', (answer: JobAnswer) => {
      if ('text' in answer) resolve(answer.text);
      else reject(new Error(answer.fault));
    });
    worker.once('error', (error: NodeJS.ErrnoException) => {
      const tooMuch = error.code === 'ERR_WORKER_OUT_OF_MEMORY';
      reject(tooMuch ? new HttpError(413, 'too-large', 'This needs more memory than one task may take. Split the file, or export less at once.') : error); // prettier-ignore
    });
    worker.once('exit', () => {
      gone?.removeEventListener('abort', end);
      reject(new Error('The task ended before it had an answer.'));
    });
  });
}
