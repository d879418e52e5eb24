import Database from 'better-sqlite3';
import { join } from 'node:path';
import { DatabaseError } from './open';

/** One process holds a data folder. */
export interface FolderLock {
  release: () => void;
}

/** Name of the file that is locked; it holds nothing. */
const LOCK_FILE = 'lock.db';

/**
 * Holds a data folder for this process. The lock is the operating system's, on an empty database: it goes with the
 * process, however that ends.
 *
 * @throws DatabaseError when another process holds it
 */
export function holdFolder(folder: string): FolderLock {
  const db = new Database(join(folder, LOCK_FILE), { timeout: 0 });
  try {
    db.pragma('journal_mode = DELETE');
    db.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    db.close();
    if (!(error as { code?: string }).code?.startsWith('SQLITE_BUSY')) throw error;
    throw new DatabaseError(`The data folder ${folder} is in use by another Yendral. Stop that one first, or name another folder in YENDRAL_DATA.`); // prettier-ignore
  }
  return { release: () => db.close() };
}

/** Whether a process holds a data folder. */
export function isHeld(folder: string): boolean {
  try {
    holdFolder(folder).release();
    return false;
  } catch (error) {
    if (error instanceof DatabaseError) return true;
    throw error;
  }
}
