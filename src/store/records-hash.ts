import { createHash } from 'node:crypto';
import { TABLES } from '../core/record/tables';
import type { Db } from './open';

/** SHA-256 over every record of a site: table, id and body of each, in the order of tables and ids. */
export function hashOfRecords(db: Db): string {
  const hash = createHash('sha256');
  for (const table of TABLES) {
    const rows = db.prepare(`SELECT id, body FROM ${table} ORDER BY id`).iterate();
    for (const { id, body } of rows as IterableIterator<{ id: string; body: string }>)
      hash.update(`${table}\n${id}\n${body}\n`);
  }
  return hash.digest('hex');
}
