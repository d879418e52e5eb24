import { parentPort } from 'node:worker_threads';
import { perform } from '../server/jobs/job';
import { MOST_WAITING, type JobGiven, type JobSaid } from '../server/jobs/workers';

const say = (said: JobSaid) => parentPort!.postMessage(said);

/** One job after another, in a worker of the server. Each goes no faster than its answer is read. */
parentPort!.on('message', ({ job, waiting }: JobGiven) => void work(job, waiting));

async function work(job: JobGiven['job'], waiting: Int32Array): Promise<void> {
  try {
    await perform(job, (piece) => {
      for (let many = Atomics.load(waiting, 0); many >= MOST_WAITING; many = Atomics.load(waiting, 0)) Atomics.wait(waiting, 0, many); // prettier-ignore
      Atomics.add(waiting, 0, 1);
      say(piece);
    });
    say({ end: true });
  } catch (error) {
    say({ fault: error instanceof Error ? (error.stack ?? error.message) : String(error) });
  }
}
