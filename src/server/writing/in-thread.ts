import { Worker } from 'node:worker_threads';
import { InputError } from '../../core/quantity/error';
import { Refusal } from '../../core/commands/commands';
import { DatabaseError } from '../../store/open';
import type { EventHub } from '../base/events';
import type { CommandAnswer } from '../commands/accept';
import type { Asked, Fault, Said, ThreadData } from './messages';
import type { Writer } from './writer';

/** Somebody who waits for an answer. */
interface Waiting {
  resolve: (answers: CommandAnswer[] | null) => void;
  reject: (error: Error) => void;
}

type Ask = Asked extends infer A ? (A extends unknown ? Omit<A, 'number'> : never) : never;

/**
 * Writing in a thread of its own, so that no command and no disk holds up who only reads. News and progress go to the
 * app's streams. When the thread fails the process ends: what was answered is on the disk, and a supervisor starts anew.
 *
 * @param file the bundled thread
 */
export function writerInThread(events: EventHub, file: string, data: ThreadData): Writer {
  const worker = new Worker(file, { workerData: data });
  const waiting = new Map<number, Waiting>();
  let next = 0;
  let ending = false;
  worker.on('message', (said: Said) => {
    if ('news' in said) return events.news(said.news);
    if ('refreshing' in said) return events.send('refreshing', said.refreshing, said.refreshing.site);
    const one = waiting.get(said.number);
    waiting.delete(said.number);
    if ('answers' in said) one?.resolve(said.answers);
    else one?.reject(errorOf(said.fault));
  });
  worker.on('error', (error) => {
    console.error(error);
    process.exit(1);
  });
  worker.on('exit', () => {
    if (!ending) process.exit(1);
  });
  const ask = (what: Ask) =>
    new Promise<CommandAnswer[] | null>((resolve, reject) => {
      const number = next++;
      waiting.set(number, { resolve, reject });
      worker.postMessage({ ...what, number });
    });
  return {
    accept: async (values, person) => (await ask({ ask: 'accept', values, person }))!,
    addPhoto: async (site, photo, sent) => void (await ask({ ask: 'photo', site, photo, sent })),
    keepInstrument: async (value, person) => (await ask({ ask: 'keep-instrument', value, person }))!,
    lend: async (instrument, site, person) => (await ask({ ask: 'lend', instrument, site, person }))!,
    judging: async (site, go) => void (await ask({ ask: 'judging', site, go })),
    list: async () => void (await ask({ ask: 'list' })),
    end: async () => {
      ending = true;
      await ask({ ask: 'end' });
      await worker.terminate();
    },
  };
}

/** The same error on this side. */
function errorOf({ name, message, code, input, refusal }: Fault): Error {
  if (input) return new InputError(input.field, input.key, input.facts);
  if (refusal) return new Refusal(refusal.code, refusal.field, refusal.key, refusal.facts, refusal.because);
  return Object.assign(name === 'DatabaseError' ? new DatabaseError(message) : new Error(message), { code });
}
