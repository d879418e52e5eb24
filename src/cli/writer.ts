import { parentPort, workerData } from 'node:worker_threads';
import type { ThreadData } from '../server/writing/messages';
import { writeInThread } from '../server/writing/thread';

/** The server's writing thread. */
writeInThread(parentPort!, workerData as ThreadData);
