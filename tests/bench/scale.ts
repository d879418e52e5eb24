import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ulid } from 'ulid';
import { clientOf, type Client } from '../server/served';
import { serveDemo } from '../browser/harness';
import { scalePage } from './scale-page';

/** The day on which the generated plant is looked at. */
const NOW = '2026-11-02T09:00:00.000Z';
const ENTRIES = Number(process.env.YENDRAL_SCALE ?? 50_000);
const SITE = '/api/sites/greyholm';

const at = (sorted: readonly number[], share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!; // prettier-ignore
const told = (times: readonly number[]): string => {
  const sorted = [...times].sort((a, b) => a - b);
  return `median ${at(sorted, 0.5).toFixed(1)}, 99 % ${at(sorted, 0.99).toFixed(1)}, longest ${sorted.at(-1)!.toFixed(1)} ms`;
};

/** Processor time of a process so far, s, and what it holds in memory, MB. */
function used(pid: number): { cpuS: number; rssMb: number } {
  const stat = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]!.split(' ');
  const rss = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]!;
  return { cpuS: (Number(stat[11]) + Number(stat[12])) / 100, rssMb: Number(rss) / 1024 };
}

async function timed(client: Client, path: string): Promise<number> {
  const start = performance.now();
  const { status, text } = await client.call('GET', `${SITE}/${path}`);
  if (status !== 200) throw new Error(`${path} was answered ${status}: ${text.slice(0, 200)}`);
  return performance.now() - start;
}

/** A repeatable number below `most`. */
let drawn = 7;
const draw = (most: number): number => (drawn = (drawn * 48271) % 2147483647) % most;
const pick = <T>(from: readonly T[]): T => from[draw(from.length)]!;

/** A list or a search as somebody may ask for one. */
function question(): string {
  const tag = `${pick(['JB-20', 'HC-', 'AX-3', 'DL-', 'TY-', 'PM-'])}${1 + draw(4)}-${String(1 + draw(ENTRIES / 100)).padStart(4, '0')}`;
  return pick([
    () => `entries/?sort=${pick(['tag', 'area', 'state', 'due', 'time'])}`,
    () => `entries/?state=${pick(['failed', 'sound', 'incomplete'])}&sort=due`,
    () => `entries/?due=${pick(['overdue', 'soon', 'later'])}`,
    () => `entries/?area=gh-u${1 + draw(6)}-hall&sort=state`,
    () => `entries/?q=${tag}`,
    () => `entries/?q=${pick(['barrier', 'gland unit 3', 'mineral pot', 'transit', tag.slice(3), 'extraction hall jb'])}`,
    () => `search/?limit=12&q=${pick([tag, 'P-12', 'double seal', 'jb 20', String(draw(999))])}`,
    () => `defects/?state=unproven&sort=${pick(['due', 'severity'])}`,
    () => `cables/?q=${pick(['', 'P-20', String(draw(500))])}`,
    () => 'counts/',
  ])();
} // prettier-ignore

/** (l) A site of 50,000 entries: lists and searches, an edit of the site, and all of it judged anew. */
export async function scale(): Promise<void> {
  const data = process.env.YENDRAL_SCALE_DATA ?? join(tmpdir(), `yendral-generated-${ENTRIES}`);
  if (!process.env.YENDRAL_SCALE_DATA) {
    const start = performance.now();
    const counts = execFileSync(process.execPath, ['dist/cli/generate.mjs', '--data', data, '--entries', String(ENTRIES)], { encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] }); // prettier-ignore
    console.log(`(l) generated in ${((performance.now() - start) / 1000).toFixed(0)} s: ${counts.trim()}`);
  }
  const served = await serveDemo({ data, now: NOW, empty: true });
  try {
    const client = await clientOf(served);
    const pid = served.process.pid!;
    for (let i = 0; i < 50; i++) await timed(client, question());
    const times: number[] = [];
    const slow: { ms: number; path: string }[] = [];
    for (let i = 0; i < 1000; i++) {
      const path = question();
      const ms = await timed(client, path);
      times.push(ms);
      slow.push({ ms, path });
    }
    const slowest = slow.sort((a, b) => b.ms - a.ms).slice(0, 5).map(({ ms, path }) => `${path} ${ms.toFixed(0)} ms`); // prettier-ignore
    console.log(`(l) 1,000 lists and searches of ${ENTRIES.toLocaleString('en')} entries: ${told(times)}; server ${used(pid).rssMb.toFixed(0)} MB; the slowest: ${slowest.join(', ')}`);
    if (process.env.YENDRAL_SCALE_PAGE !== 'no') await scalePage(served);
    await judgedAnew(client, pid, false);
    await judgedAnew(client, pid, true);
  } finally {
    await served.stop();
  }
} // prettier-ignore

/** An edit that everything is judged by; answers how long it took, ms. */
async function editSite(client: Client): Promise<number> {
  const start = performance.now();
  const command = { id: ulid(), kind: 'site.edit', site: 'greyholm', at: NOW, payload: { id: 'greyholm', set: { bondLimitOhm: 0.05 + draw(50) / 1000 } } }; // prettier-ignore
  const { text } = await client.call('POST', '/api/commands/', { commands: [command] });
  if (!text.includes('"applied"')) throw new Error(text);
  return performance.now() - start;
}

/** Judges everything anew, with people who ask lists meanwhile or without. */
async function judgedAnew(client: Client, pid: number, asks: boolean): Promise<void> {
  const before = used(pid);
  const start = performance.now();
  const editMs = await editSite(client);
  const meanwhile: number[] = [];
  let most = before.rssMb;
  for (;;) {
    if (asks) meanwhile.push(await timed(client, question()));
    most = Math.max(most, used(pid).rssMb);
    const { json } = await client.call('GET', `${SITE}/judging/`);
    if ((json as unknown as { left: number }).left === 0) break;
    await new Promise((done) => setTimeout(done, asks ? 50 : 500));
  }
  const tookS = (performance.now() - start) / 1000;
  const cpuS = used(pid).cpuS - before.cpuS;
  console.log(`(l) one edit of the site answered in ${editMs.toFixed(1)} ms; all ${ENTRIES.toLocaleString('en')} judged anew in ${tookS.toFixed(1)} s, ${cpuS.toFixed(1)} s of processor time${asks ? ` with what was asked; lists meanwhile: ${told(meanwhile)}` : ''}; most memory ${most.toFixed(0)} MB`); // prettier-ignore
}
