import { existsSync, readFileSync, renameSync, rmSync, statSync, utimesSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** File that stands in a data folder while it is replicated. */
const MARK = 'replicating.json';
/** Without a sign of life for so long the replicator is gone, ms. */
const SILENT_MS = 30_000;

/** Folder of the replica that a data folder is copied to right now; null while nobody replicates it. */
export function replicaOf(folder: string): string | null {
  const file = join(folder, MARK);
  try {
    if (Date.now() - statSync(file).mtimeMs > SILENT_MS) return null;
    return (JSON.parse(readFileSync(file, 'utf8')) as { target: string }).target;
  } catch {
    return null;
  }
}

/** Says that a folder is replicated, and keeps saying it. */
export class ReplicationMark {
  readonly #file: string;

  constructor(folder: string, target: string) {
    this.#file = join(folder, MARK);
    // Whole or not there: the server reads it at any moment.
    writeFileSync(`${this.#file}.part`, JSON.stringify({ target }));
    renameSync(`${this.#file}.part`, this.#file);
  }

  /** A sign of life. */
  renew(): void {
    const now = new Date();
    if (existsSync(this.#file)) utimesSync(this.#file, now, now);
  }

  remove(): void {
    rmSync(this.#file, { force: true });
  }
}
