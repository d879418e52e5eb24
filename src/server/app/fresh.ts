import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { isHeld } from '../../store/folder-lock';
import { Installation, INSTALLATION_DB } from '../../store/installation';
import { WHOLE_DB } from '../../store/take-apart';
import { DataFolderError } from '../base/error';

/**
 * Empties a data folder that was filled for trying; any other folder stays as it is.
 *
 * @param mark setting of the installation that says so
 * @throws DataFolderError when the folder is in use, or holds anything else
 */
export function emptyFolder(folder: string, mark: string): void {
  const file = join(folder, INSTALLATION_DB);
  const whole = existsSync(join(folder, WHOLE_DB));
  if (!whole && !existsSync(file)) return;
  if (isHeld(folder))
    throw new DataFolderError(`--fresh deletes nothing: a Yendral runs on ${folder}. Stop it first, or name another folder in YENDRAL_DATA.`); // prettier-ignore
  if (whole || !isMarked(file, mark))
    throw new DataFolderError(`--fresh deletes nothing: ${folder} was not filled by the demo. Name an empty folder in YENDRAL_DATA, or move this one away by hand.`); // prettier-ignore
  const databases = ['', '-wal', '-shm'].map((end) => INSTALLATION_DB + end);
  for (const name of ['sites', 'archive', ...databases])
    rmSync(join(folder, name), { recursive: true, force: true });
}

/** Whether a data folder that nobody uses has a setting of the installation; an empty folder has none. */
export function isLeftMarked(folder: string, mark: string): boolean {
  const file = join(folder, INSTALLATION_DB);
  return existsSync(file) && !isHeld(folder) && isMarked(file, mark);
}

function isMarked(file: string, mark: string): boolean {
  const installation = Installation.read(file);
  try {
    return installation.settings.get(mark) !== null;
  } finally {
    installation.close();
  }
}
