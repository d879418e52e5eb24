import { get } from 'node:http';
import type { Snapshot } from '../../src/core/commands/news';
import { openEntries } from './writing';
import { take } from '../server/bursts';
import { clientOf, serveDemo } from '../server/served';

const INSPECTORS = 50;
const PER_SECOND = 5;
const SECONDS = 60;
/** A server that has run for a while: so long at the same pace before anything is measured, s. */
const WARM_SECONDS = 10;

/** Inspectors who each take readings at a steady pace, their streams open: how long each answer takes. */
export async function load(): Promise<void> {
  const served = await serveDemo();
  const clients = [];
  for (let i = 0; i < INSPECTORS; i++) clients.push(await clientOf(served, `Inspector ${i}`));
  const { text: before } = await clients[0]!.call('GET', '/api/sites/proving-ground/');
  const { records: seen } = JSON.parse(before) as Snapshot;
  const entries = openEntries(seen);
  const caliper = seen.instrument.find(({ kind }) => kind === 'caliper')!.id;
  let news = 0;
  let refetches = 0;
  const streams = clients.map(({ cookie }) =>
    get(`${served.address}/api/events/?sites=proving-ground`, { headers: { cookie: cookie() }, agent: false }, (stream) =>
      // Looked at as cheaply as can be: whoever makes the load shares this machine with the server.
      stream.on('data', (chunk: Buffer) => {
        if (chunk.indexOf('event: journal') >= 0) news++;
        if (chunk.indexOf('"refetch"') >= 0) refetches++;
      }),
    ).on('error', () => undefined),
  ); // prettier-ignore
  const times: number[] = [];
  const given: string[] = [];
  const refused: string[] = [];
  const open: Promise<void>[] = [];
  const begin = performance.now();
  for (let n = 0; n < (WARM_SECONDS + SECONDS) * PER_SECOND * INSPECTORS; n++) {
    const due = begin + (n * 1000) / (PER_SECOND * INSPECTORS);
    const wait = due - performance.now();
    if (wait > 1) await new Promise((resolve) => setTimeout(resolve, wait));
    // They go through the entries, again and again.
    const one = take({ site: 'proving-ground', ...entries[n % entries.length]!, instrument: caliper }); // prettier-ignore
    given.push(one.id);
    const from = performance.now();
    const client = clients[n % INSPECTORS]!;
    open.push(
      client.call('POST', '/api/commands/', { commands: [one] }).then(({ text }) => {
        if (from - begin >= WARM_SECONDS * 1000) times.push(performance.now() - from);
        if (!text.includes('"applied"')) refused.push(text);
      }),
    );
  }
  await Promise.all(open);
  const took = (performance.now() - begin) / 1000 - WARM_SECONDS;
  for (const stream of streams) stream.destroy();
  const { text } = await clients[0]!.call('GET', '/api/sites/proving-ground/');
  const there = (JSON.parse(text) as Snapshot).records.reading.map(({ rev }) => rev);
  const kept = new Set(there);
  await served.stop();
  times.sort((a, b) => a - b);
  const at = (share: number) =>
    times[Math.min(times.length - 1, Math.floor(share * times.length))]!.toFixed(0);
  console.log(
    `${INSPECTORS} inspectors, ${PER_SECOND}/s each for ${SECONDS} s: ${given.length} given, the last ${times.length} in ${took.toFixed(1)} s, ${refused.length} refused, ${given.filter((id) => !kept.has(id)).length} lost, ${there.length - kept.size} doubled; answers p50 ${at(0.5)}, p95 ${at(0.95)}, p99 ${at(0.99)}, worst ${at(1)} ms; ${news} news read, ${refetches} of them to be asked for`,
  );
}
