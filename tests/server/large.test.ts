import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ulid } from 'ulid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Generated } from '../../demo/generate/generate';
import type { EntryCounts, EntryRow, ListPage, RunningClocks } from '../../src/core/programme/lists';
import type { Snapshot } from '../../src/core/commands/news';
import { clocksOfSite } from '../../src/core/makeoff/clocks';
import { entriesOf } from '../../src/core/record/closure';
import { standingOf } from '../../src/core/programme/standing';
import { sliceOf } from '../../src/device/snapshot';
import { SiteStore } from '../../src/store/site-store';
import { clientOf, serveDemo, type Client, type Served } from './served';

/** The day on which the generated plant is looked at. */
const NOW = '2026-11-02T09:00:00.000Z';
const ENTRIES = 1100;

let folder: string;
let counts: Generated;
let served: Served;
let client: Client;
let clock = 0;
const generated = (to: string): Generated =>
  JSON.parse(
    execFileSync(process.execPath, ['dist/cli/generate.mjs', '--data', to, '--entries', String(ENTRIES), '--seed', '3'], {
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'ignore'],
    }),
  ) as Generated; // prettier-ignore

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'yendral-large-'));
  counts = generated(folder);
  served = await serveDemo({ data: folder, now: NOW, empty: true });
  client = await clientOf(served);
}, 300_000);
afterAll(async () => {
  await served.stop();
  rmSync(folder, { recursive: true, force: true });
});

const get = async <R>(path: string): Promise<R> => {
  const { status, json, text } = await client.call('GET', `/api/sites/greyholm/${path}`);
  expect(status, text).toBe(200);
  return json as unknown as R;
};

async function give(kind: string, payload: object): Promise<void> {
  const command = { id: ulid(Date.parse(NOW) + clock++), kind, site: 'greyholm', at: NOW, payload };
  const { json } = await client.call('POST', '/api/commands/', { commands: [command] });
  expect(json).toMatchObject({ answers: [{ status: 'applied' }] });
}

/** Waits until nothing is judged anew any more; how many were left each time it was asked. */
async function judged(): Promise<number[]> {
  const seen: number[] = [];
  for (;;) {
    const { left } = await get<{ left: number }>('judging/');
    seen.push(left);
    if (left === 0) return seen;
    await new Promise((done) => setTimeout(done, 100));
  }
}

/** Where every entry stands, as the index says, and as it is judged afresh. */
function compared(): void {
  const store = SiteStore.read('greyholm', join(folder, 'sites', 'greyholm'), true);
  try {
    const kept = store.statuses.all();
    expect(kept).toHaveLength(counts.entries);
    for (const { entry } of kept) expect(store.statuses.says(store.judged(entry, NOW)!), entry).toBe(true);
    expect(store.statuses.clocks(Date.parse(NOW), Infinity)).toMatchObject(
      clocksOfSite(store.records, 'greyholm', Date.parse(NOW)),
    );
  } finally {
    store.close();
  }
}

describe('a generated plant', () => {
  it('holds what it says, the same from the same seed', () => {
    expect(counts).toMatchObject({ entries: ENTRIES, seals: ENTRIES });
    expect(counts.readings / ENTRIES).toBeGreaterThan(3.6);
    expect(counts.states.sound + counts.states.failed).toBe(ENTRIES);
    expect(counts.states.failed / ENTRIES).toBeGreaterThan(0.03);
    expect(counts.states.failed / ENTRIES).toBeLessThan(0.07);
    const again = mkdtempSync(join(tmpdir(), 'yendral-again-'));
    try {
      expect(generated(again)).toEqual(counts);
      const read = (of: string) => SiteStore.read('greyholm', join(of, 'sites', 'greyholm'));
      const [one, other] = [read(folder), read(again)];
      const { seq, hash } = other.journal.head();
      // The server may have gone on from there.
      expect(one.journal.holds(seq, hash)).toBe(true);
      one.close();
      other.close();
    } finally {
      rmSync(again, { recursive: true });
    }
  }, 120_000);

  it('is listed page by page, filtered, sorted and found, with counts that agree', async () => {
    const of = await get<EntryCounts>('counts/');
    expect(of).toMatchObject({ of: ENTRIES, judging: 0, state: counts.states });
    const ids = new Set<string>();
    let pages = 0;
    for (let after: string | null = ''; after !== null; pages++) {
      const page: ListPage<EntryRow> = await get(`entries/?limit=300&sort=due&after=${after}`);
      for (const { id } of page.rows) ids.add(id);
      after = page.next;
    }
    expect([ids.size, pages]).toEqual([ENTRIES, Math.ceil(ENTRIES / 300)]);
    const failed = await get<ListPage<EntryRow>>('entries/?state=failed&limit=500');
    expect(failed.matching).toBe(counts.states.failed);
    const found = await get<ListPage<EntryRow>>('entries/?q=JB-201-0003');
    expect(found.rows.map(({ title }) => title)).toContain('JB-201-0003, entry A');
    const { found: hits } = await get<{ found: { table: string; title: string }[] }>('search/?q=0003 barrier&limit=5');
    expect(hits[0]!.table).toBe('entry');
    expect((await get<ListPage<object>>('defects/?state=unproven&limit=1')).matching).toBe(counts.defects);
    expect((await get<ListPage<object>>('cables/?limit=1')).matching).toBe(counts.cables);
    expect((await get<ListPage<object>>('rounds/?limit=1')).matching).toBe(counts.rounds);
    expect((await get<ListPage<object>>('history/?limit=1')).rows).toHaveLength(1);
    const { json } = await client.call('GET', '/api/search/?q=JB-201-0003');
    expect(json).toMatchObject({ sites: [{ site: 'greyholm' }] });
    for (const [path, field] of [['entries/?state=x', 'state'], ['entries/?after=x', 'after'], ['entries/?limit=0', 'limit'], ['defects/?severity=9', 'severity']] as const) {
      const { status, json: refused } = await client.call('GET', `/api/sites/greyholm/${path}`);
      expect([status, refused.error?.field], path).toEqual([422, field]);
    }
  });

  it('is taken along in parts: a round with all that it is inspected with, judged as the whole site is', async () => {
    const { rows } = await get<ListPage<{ id: string; name: string; entries: string[] }>>('rounds/?q=under way&limit=1');
    const taken = await get<Snapshot & { size: number }>(`slice/?round=${rows[0]!.id}`);
    expect(taken.statuses).toHaveLength(rows[0]!.entries.length);
    expect(taken.records.entry.length).toBeLessThan(ENTRIES / 2);
    expect(taken.size).toBeLessThan(counts.looks);
    const slice = sliceOf(taken);
    expect(entriesOf(slice, taken.scope!)).toHaveLength(rows[0]!.entries.length);
    for (const { status } of taken.statuses) expect(standingOf(slice, status.entry, 'greyholm', NOW)).toEqual(status);
    const { status, json } = await client.call('GET', '/api/sites/greyholm/slice/');
    expect([status, json.error?.field]).toEqual([422, 'round']);
  }, 60_000);

  it('is judged anew beside the commands when something changes for all of it, and can be stopped and gone on with', async () => {
    await give('site.edit', { id: 'greyholm', set: { intervals: { visual: null, close: 24, detailed: null } } });
    const { left } = await get<{ left: number }>('judging/');
    expect(left).toBeGreaterThan(ENTRIES / 2);
    const first = await get<ListPage<EntryRow>>('entries/?limit=1');
    expect(first.judging).toBeGreaterThan(0);
    await client.call('POST', '/api/sites/greyholm/judging/', { go: false });
    await new Promise((done) => setTimeout(done, 1500));
    const stopped = (await get<{ left: number }>('judging/')).left;
    await new Promise((done) => setTimeout(done, 700));
    expect((await get<{ left: number }>('judging/')).left).toBe(stopped);
    await client.call('POST', '/api/sites/greyholm/judging/', { go: true });
    await judged();
    compared();
  }, 120_000);

  it('stands in its index as it is judged afresh, whatever is recorded while all of it is judged', async () => {
    const { rows } = await get<ListPage<EntryRow>>('entries/?limit=500&sort=time');
    const running = rows.filter(({ status }) => status.running_round !== null).slice(0, 40);
    await give('site.edit', { id: 'greyholm', set: { intervals: { visual: null, close: 30, detailed: null } } });
    for (const [i, { id, status }] of running.entries()) {
      await give('look.answer', { id: `l${i}`, entry: id, round: status.running_round, look: 'marking', answer: i % 2 ? 'no' : 'yes', photo: null });
      if (i === 20) await give('site.edit', { id: 'greyholm', set: { bondLimitOhm: 0.05 } });
    }
    await judged();
    compared();
    const { state } = await get<EntryCounts>('counts/');
    expect(state.failed).toBeGreaterThan(counts.states.failed);
  }, 120_000);

  it('tells what time runs against from its index, as it is worked out afresh', async () => {
    const before = await get<RunningClocks>('clocks/');
    const { rows } = await get<ListPage<EntryRow>>('entries/?limit=500&sort=time&kind=gland-barrier');
    const running = rows.filter(({ status }) => status.running_round !== null).slice(0, 3);
    expect(running.length).toBeGreaterThan(0);
    for (const [i, { id, status }] of running.entries())
      await give('pour.record', { id: `p${i}`, entry: id, round: status.running_round, batch: 'B7', expires: '2027-06-01', ratioKept: true, mixedAt: NOW, temperatureC: 21, lowestC: null, packedAt: i === 0 ? null : NOW, lookedAt: null });
    await judged();
    compared();
    const { clocks, of } = await get<RunningClocks>('clocks/');
    const kinds = running.map(({ id }) => clocks.filter(({ entry }) => entry === id).map(({ is }) => is));
    expect(kinds).toEqual(running.map((_, i) => (i === 0 ? ['working-life'] : ['look', 'energise'])));
    expect(of - before.of).toBe(kinds.flat().length);
  }, 120_000);
}); // prettier-ignore
