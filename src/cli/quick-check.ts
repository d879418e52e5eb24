import { parentPort, workerData } from 'node:worker_threads';
import { quickCheck } from '../server/keep/quick-check';

/** After a stop that was no stop: looks through the databases, in a worker of the server. */
const { folder } = workerData as { folder: string };
const damages = quickCheck(folder);
for (const { where, what } of damages) parentPort?.postMessage(`${where} ${what}`);
parentPort?.postMessage(
  damages.length === 0
    ? 'The last run did not end well; every database was looked through and is sound.'
    : 'The last run did not end well. Run npm run verify.',
);
