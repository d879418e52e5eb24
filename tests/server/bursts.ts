import { ulid } from 'ulid';
import { verifyFolder } from '../../src/server/keep/verify';
import { clientOf, ended, serveDemo, type Client } from './served';

/** A command as a device sends it. */
export interface Sent {
  id: string;
  kind: string;
  site: string;
  at: string;
  payload: object;
}

/** A reading of the demo's double-seal entry, as a command. */
export const take = (
  of: { site?: string; entry?: string; round?: string; instrument?: string } = {},
): Sent => ({
  id: ulid(),
  kind: 'reading.take',
  site: of.site ?? 'marrowick',
  at: new Date().toISOString(),
  payload: {
    id: ulid(),
    entry: of.entry ?? 'mb-jb-204-d',
    round: of.round ?? 'mb-round-14',
    place: 'outer-sheath',
    value: 20.7,
    typed: '20.7',
    method: 'caliper',
    instrument: of.instrument ?? 'mb-caliper-07',
    source: 'typed',
  },
});

/** Several inspectors who take readings as fast as they are answered. */
export interface Burst {
  given: Sent[];
  /** Ids that the server has acknowledged, in the order of their lines, each with the time of its answer. */
  acknowledged: Map<string, number>;
  /** Whether nobody writes any more. */
  stopped: () => boolean;
  /** Ends it; resolves when nobody writes any more. */
  end: () => Promise<void>;
}

export function burst(client: Client, writers = 8): Burst {
  const given: Sent[] = [];
  const acknowledged = new Map<string, number>();
  const wrong: string[] = [];
  let over = false;
  const all = Array.from({ length: writers }, async () => {
    while (!over) {
      const one = take();
      given.push(one);
      try {
        const { json } = await client.call('POST', '/api/commands/', { commands: [one] });
        const { answers } = json as unknown as { answers: { status: string }[] };
        if (answers?.[0]?.status !== 'applied') throw new Error(JSON.stringify(json));
        acknowledged.set(one.id, Date.now());
      } catch (error) {
        if (!(error instanceof TypeError)) wrong.push(String(error));
        return;
      }
    }
  });
  const end = async () => {
    over = true;
    await Promise.all(all);
    if (wrong.length > 0) throw new Error(wrong[0]);
  };
  let ended = 0;
  for (const one of all) void one.then(() => ended++);
  return { given, acknowledged, end, stopped: () => ended === writers };
}

/** Waits until a burst has so many answers; says what went wrong when it has stopped before. */
export async function answered(running: Burst, many: number): Promise<void> {
  await until(() => running.acknowledged.size > many || running.stopped());
  if (running.acknowledged.size <= many) await running.end();
}

/** Waits until something is so. */
export async function until(so: () => boolean): Promise<void> {
  while (!so()) await new Promise((resolve) => setTimeout(resolve, 10));
}

/** Ids of every command in the demo site's journal. */
export async function journalOf(client: Client): Promise<string[]> {
  const ids: string[] = [];
  for (let at = 0, more = true; more;) {
    const { text } = await client.call('GET', `/api/sites/marrowick/commands/?after=${at}`);
    const page = JSON.parse(text) as { commands: { seq: number; command: { id: string } }[]; more: boolean };
    ids.push(...page.commands.map(({ command }) => command.id));
    at = page.commands.at(-1)?.seq ?? at;
    more = page.more;
  }
  return ids;
}

/** What kills in the middle of bursts have left. */
export interface AfterKills {
  given: Sent[];
  acknowledged: Set<string>;
  /** The journal after the last kill, and after everything was sent once more. */
  kept: string[];
  again: string[];
  readings: string[];
  damages: string[];
}

/** Kills the server in the middle of bursts, again and again on the same folder; then sends everything once more. */
export async function killInBursts(
  kills: number,
  data: string,
  seeded: string | undefined,
  told: (kill: number) => void = () => undefined,
): Promise<AfterKills> {
  const given: Sent[] = [];
  const acknowledged = new Set<string>();
  for (let kill = 0; kill < kills; kill++) {
    const victim = await serveDemo(kill === 0 && seeded ? { data, seeded } : { data });
    const running = burst(await clientOf(victim));
    // In the middle of the burst, however fast this machine is.
    await answered(running, 12);
    await ended(victim.process, 'SIGKILL');
    await running.end();
    given.push(...running.given);
    for (const id of running.acknowledged.keys()) acknowledged.add(id);
    told(kill);
  }
  const last = await serveDemo({ data });
  const client = await clientOf(last);
  const kept = await journalOf(client);
  // The device sends again what it has no answer for.
  for (let i = 0; i < given.length; i += 100)
    await client.call('POST', '/api/commands/', { commands: given.slice(i, i + 100) });
  const again = await journalOf(client);
  const { text } = await client.call('GET', '/api/sites/marrowick/');
  const { records } = JSON.parse(text) as { records: { reading: { id: string }[] } };
  await last.stop();
  const damages = verifyFolder(data).damages.map(({ where, what }) => `${where} ${what}`);
  return { given, acknowledged, kept, again, readings: records.reading.map(({ id }) => id), damages };
}
