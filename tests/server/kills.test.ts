import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, inject, it } from 'vitest';
import { killInBursts } from './bursts';

/** How often the server is killed. */
const KILLS = 10;

it(`${KILLS} kills in the middle of bursts lose nothing that was acknowledged and double nothing`, async () => {
  const data = mkdtempSync(join(tmpdir(), 'yendral-kills-'));
  const { given, acknowledged, kept, again, readings, damages } = await killInBursts(
    KILLS,
    data,
    inject('seeded'),
  );
  for (const id of acknowledged) expect(kept).toContain(id);
  expect(new Set(again).size).toBe(again.length);
  for (const { id } of given) expect(again).toContain(id);
  for (const { payload } of given) expect(readings).toContain((payload as { id: string }).id);
  expect(damages).toEqual([]);
}, 300_000);
