import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { ulid } from 'ulid';
import { afterEach, describe, expect, inject, it } from 'vitest';
import { MARROWICK } from '../../demo/marrowick';
import { verifyFolder } from '../../src/server/keep/verify';
import { replicaOf } from '../../src/store/replicating';
import { answered, burst, journalOf, until } from './bursts';
import { clientOf, ended, serveDemo, type Client } from './served';

const temporary = (what: string) => mkdtempSync(join(tmpdir(), `yendral-${what}-`));
const started: ChildProcess[] = [];
afterEach(async () => {
  await Promise.all(started.splice(0).map((child) => ended(child, 'SIGTERM')));
});

/** Starts the replicator as somebody would; what it says gathers. */
function replicator(data: string, target: string): { process: ChildProcess; said: () => string } {
  const child = spawn(process.execPath, ['dist/cli/replicate.mjs', target], {
    env: { ...process.env, YENDRAL_DATA: data },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (chunk: Buffer) => (said += chunk.toString()));
  started.push(child);
  return { process: child, said: () => said };
}

function restored(target: string, ...words: string[]): { data: string; said: string; status: number | null } {
  const data = join(temporary('restored'), 'data');
  const { status, stdout, stderr } = spawnSync(process.execPath, ['dist/cli/restore.mjs', target, ...words], {
    env: { ...process.env, YENDRAL_DATA: data },
    encoding: 'utf8',
  });
  return { data, said: stdout + stderr, status };
}

const lines = (data: string, site: string): number =>
  existsSync(data) ? (verifyFolder(data).sites.find(({ id }) => id === site)?.seq ?? 0) : 0;

async function addPhoto(client: Client, id: string): Promise<void> {
  const picture = await sharp({ create: { width: 8, height: 8, channels: 3, background: '#123' } }).png().toBuffer(); // prettier-ignore
  expect((await client.call('PUT', `/api/sites/marrowick/photos/${id}/`, picture)).status).toBe(200);
}

describe('a replica', () => {
  it('holds what was written until the last seconds, photos and a new site too, when the disk is gone', async () => {
    const data = temporary('replicated');
    const target = join(temporary('replica'), 'replica');
    const served = await serveDemo({ data, seeded: inject('seeded') });
    const client = await clientOf(served);
    const { process: copier, said } = replicator(data, target);
    await until(() => replicaOf(data) !== null);
    // A site that is added later is taken up.
    const site = { ...MARROWICK.site, id: 'second', name: 'Second' };
    await client.call('POST', '/api/commands/', { commands: [{ id: ulid(), kind: 'site.add', site: 'second', at: new Date().toISOString(), payload: site }] }); // prettier-ignore
    await until(() => existsSync(join(target, 'sites', 'second', 'site.db', 'generations')));
    expect(said()).toContain('Replicating 3 sites');
    // A photo lies in the replica before its upload is answered, so before any command can show it.
    await addPhoto(client, 'ph-rep');
    expect(readdirSync(join(target, 'sites', 'marrowick', 'photos'))).toContain('ph-rep.png');
    const early = burst(client, 4);
    await answered(early, 60);
    await early.end();
    const settled = await journalOf(client);
    let held = 0;
    while (held < settled.length) held = lines(restored(target).data, 'marrowick');
    const between = new Date().toISOString();
    await new Promise((resolve) => setTimeout(resolve, 2500));
    // In the middle of a burst everything is gone: the server and its disk.
    const late = burst(client, 4);
    await answered(late, 40);
    await ended(served.process, 'SIGKILL');
    rmSync(data, { recursive: true, force: true });
    await late.end();
    await ended(copier, 'SIGTERM');
    const { data: back, said: words, status } = restored(target);
    expect(words).toContain('What was accepted in the last seconds after these lines may be missing');
    expect(words).toMatch(/marrowick: \d+ lines, \d+ photos, head [0-9a-f]{64}, received at \d{4}-/);
    expect(status).toBe(0);
    expect(verifyFolder(back).damages).toEqual([]);
    const again = await serveDemo({ data: back });
    const there = await journalOf(await clientOf(again));
    await again.stop();
    // Everything from before the burst, and of the burst a beginning: nothing is missing in between.
    expect(there.slice(0, settled.length)).toEqual(settled);
    const order = [...late.acknowledged.keys()].filter((id) => there.includes(id));
    const lost = [...late.acknowledged.keys()].filter((id) => !there.includes(id));
    const newest = Math.max(0, ...order.map((id) => late.acknowledged.get(id)!));
    // Answers overtake each other by the few that wait at once.
    expect(lost.filter((id) => late.acknowledged.get(id)! < newest).length).toBeLessThanOrEqual(4);
    expect(lines(back, 'second')).toBe(1);
    // As it was at an earlier time.
    const before = restored(target, '--at', between);
    expect(before.said).toContain('Restored and verified');
    expect(lines(before.data, 'marrowick')).toBe(held);
    expect(restored(target, '--at', '2020-01-01T00:00:00Z').said).toContain('does not go back to 2020');
    const one = restored(target, '--site', 'second');
    expect(readdirSync(join(one.data, 'sites'))).toEqual(['second']);
  }, 300_000);

  it('is refused into the data folder, into something else, and twice at once', async () => {
    const data = temporary('replicated');
    const served = await serveDemo({ data, seeded: inject('seeded') });
    const refused = async (target: string) => {
      const { process: child, said } = replicator(data, target);
      await new Promise((resolve) => child.once('exit', resolve));
      return said();
    };
    expect(await refused(join(data, 'replica'))).toContain('outside the data folder');
    expect(await refused('src')).toContain('holds something else');
    const target = join(temporary('replica'), 'replica');
    const first = replicator(data, target);
    await until(() => replicaOf(data) !== null);
    expect(await refused(target)).toContain('is being replicated into');
    await ended(first.process, 'SIGTERM');
    expect(replicaOf(data)).toBeNull();
    await served.stop();
  });
});
