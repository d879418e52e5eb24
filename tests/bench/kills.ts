import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { killInBursts } from '../server/bursts';

const KILLS = 200;

/** Kills in the middle of bursts on one folder; what was acknowledged and is gone, what is there twice, what is damaged. */
export async function kills(): Promise<void> {
  const data = mkdtempSync(join(tmpdir(), 'yendral-kills-'));
  const { given, acknowledged, kept, again, damages } = await killInBursts(KILLS, data, undefined, (kill) => {
    if ((kill + 1) % 20 === 0) console.log(`${kill + 1} kills …`);
  });
  const there = new Set(kept);
  const lost = [...acknowledged].filter((id) => !there.has(id));
  console.log(
    `${KILLS} kills, ${given.length} commands given, ${acknowledged.size} acknowledged: ${lost.length} lost, ${again.length - new Set(again).size} doubled, ${damages.length} damages ${damages.join(' ')}`,
  );
}
