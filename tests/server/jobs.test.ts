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

  it('says why it failed', async () => {
    await expect(wholeOf(jobs({ ...job, site: 'none' }))).rejects.toThrow('is not there');
  });
});
