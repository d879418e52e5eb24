import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { DataFolderError } from '../base/error';

/** A database and where its replica lies. */
export interface Replicated {
  file: string;
  replica: string;
}

/** How often what was written goes to the replica, s. */
const SYNC_S = 1;
/** Snapshots that a restore starts from are made so often and kept so long, h. */
const SNAPSHOT_H = 24;
const KEPT_H = 24 * 30;

/**
 * The replicator's program.
 *
 * @throws DataFolderError where there is none for this machine
 */
function program(): string {
  const name = `@flydotio/litestream-${process.platform}-${process.arch}`;
  try {
    return join(dirname(createRequire(import.meta.url).resolve(`${name}/package.json`)), 'litestream');
  } catch {
    throw new DataFolderError(`There is no replicator for ${process.platform} on ${process.arch} here. Use npm run backup instead.`); // prettier-ignore
  }
}

/** The replicator's list, in its own format. JSON is YAML too, and quotes every path. */
export const listFor = (databases: readonly Replicated[]): string =>
  JSON.stringify({
    dbs: databases.map(({ file, replica }) => ({
      path: file,
      replicas: [{ type: 'file', path: replica, 'sync-interval': `${SYNC_S}s`, 'snapshot-interval': `${SNAPSHOT_H}h`, retention: `${KEPT_H}h` }], // prettier-ignore
    })),
  });

/** Starts replicating what a list names; its words go to the caller. */
export const startReplicating = (list: string, hear: (line: string) => void): ChildProcess => {
  const child = spawn(program(), ['replicate', '-config', list], { stdio: ['ignore', 'pipe', 'pipe'] });
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (chunk: Buffer) => {
      for (const line of chunk.toString().split('\n')) if (/level=(WARN|ERROR)/.test(line)) hear(line);
    });
  return child;
};

/** A run of the replica that one snapshot begins, in whole seconds. */
interface Generation {
  id: string;
  start: number;
  end: number;
}

function generationsOf(replica: string): Generation[] {
  const { stdout } = spawnSync(program(), ['generations', `file://${replica}`], { encoding: 'utf8' });
  const rows = stdout.trim().split('\n').slice(1);
  return rows.map((row) => {
    const [, id, , start, end] = row.trim().split(/\s+/) as [string, string, string, string, string];
    return { id, start: Date.parse(start), end: Date.parse(end) };
  });
}

/**
 * Restores one database from its replica.
 *
 * @param at as it was at this time; null for the newest state
 * @returns whether the replica goes back so far
 * @throws DataFolderError when it does, and cannot be restored
 */
export function restoreDatabase(replica: string, file: string, at: string | null): boolean {
  const time = at === null ? Infinity : Date.parse(at);
  const then = generationsOf(replica)
    .filter(({ start }) => start <= time)
    .sort((a, b) => b.start - a.start)[0];
  if (!then) return false;
  // At or after its end there is nothing to stop at.
  const when = time >= then.end ? [] : ['-timestamp', `${new Date(time).toISOString().slice(0, 19)}Z`];
  const words = ['restore', '-generation', then.id, ...when, '-o', file, `file://${replica}`];
  const { status, stderr } = spawnSync(program(), words, { encoding: 'utf8' });
  if (status === 0) return true;
  const said = stderr.trim().split('\n').at(-1) ?? '';
  throw new DataFolderError(`The replica ${replica} could not be restored: ${said}`);
}
