import { parentPort, workerData } from 'node:worker_threads';
import { perform, type Job } from '../server/jobs/job';
import type { JobAnswer } from '../server/jobs/workers';

/** One job, in a worker of the server. */
const say = (answer: JobAnswer) => parentPort!.postMessage(answer);
try {
  say({ text: perform(workerData as Job) });
} catch (error) {
  say({ fault: error instanceof Error ? (error.stack ?? error.message) : String(error) });
}
