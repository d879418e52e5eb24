import { cpSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, inject, it } from 'vitest';
import { wholeOf, type Job, type Piece } from '../../src/server/jobs/job';
import { workerJobs } from '../../src/server/jobs/workers';

const jobs = workerJobs('./dist/cli/job.mjs');
let job: Extract<Job, { do: 'export' }>;
beforeAll(() => {
  const folder = mkdtempSync(join(tmpdir(), 'yendral-jobs-'));
  cpSync(inject('seeded'), folder, { recursive: true });
  job = {
    do: 'export',
    folder,
    site: 'proving-ground',
    name: 'findings.csv',
    at: '2026-03-04T10:00:00.000Z',
  };
});

/** Workers that this process starts while a block runs. */
async function countStarts(run: () => Promise<void>): Promise<number> {
  let starts = 0;
  const count = () => void starts++;
  process.on('worker', count);
  await run();
  process.off('worker', count);
  return starts;
}

describe('a job in a worker', () => {
  it('gives its answer piece by piece, and says how far it is meanwhile', async () => {
    const kinds: string[] = [];
    let last: Piece | null = null;
    for await (const piece of jobs(job)) {
      kinds.push('text' in piece ? 'text' : 'progress');
      if ('done' in piece) last = piece;
    }
    expect(last).toMatchObject({ done: (last as unknown as { of: number }).of });
    expect(kinds.indexOf('progress')).toBeLessThan(kinds.lastIndexOf('text'));
    // More pieces than may wait: the worker has waited for its reader.
    expect(kinds.length).toBeGreaterThan(64);
  });

  it('ends when its reader stops reading, and lets the next one have its turn', async () => {
    for (let i = 0; i < 4; i++) for await (const piece of jobs(job)) if ('text' in piece) break;
    expect(await wholeOf(jobs({ ...job, name: 'sizes.csv' }))).toContain('certificate');
  });

  it('ends when whoever asked goes away, also before its turn', async () => {
    const gone = new AbortController();
    const waits = [1, 2, 3].map(() => wholeOf(jobs(job, gone.signal)));
    const all = Promise.allSettled(waits);
    gone.abort();
    expect((await all).map(({ status }) => status)).toEqual(['rejected', 'rejected', 'rejected']);
    expect(await wholeOf(jobs({ ...job, name: 'defects.csv' }))).toContain('severity');
  });

  it('ends when whoever asked goes away while they take nothing', async () => {
    for (let i = 0; i < 3; i++) {
      const gone = new AbortController();
      const pieces = jobs(job, gone.signal)[Symbol.asyncIterator]();
      await pieces.next();
      gone.abort();
    }
    expect(await wholeOf(jobs({ ...job, name: 'defects.csv' }))).toContain('severity');
  });

  it('leaves its worker for the next one, after a fault too', async () => {
    const small: Job = { ...job, name: 'defects.csv' };
    const own = workerJobs('./dist/cli/job.mjs');
    const starts = await countStarts(async () => {
      const first = await wholeOf(own(small));
      await expect(wholeOf(own({ ...job, site: 'none' }))).rejects.toThrow('is not there');
      expect(await wholeOf(own(small))).toBe(first);
    });
    expect(starts).toBe(1);
  });

  it('says why it failed', async () => {
    await expect(wholeOf(jobs({ ...job, site: 'none' }))).rejects.toThrow('is not there');
  });
});
