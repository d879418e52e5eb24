import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { INSTALLATION_DB } from '../../store/installation';
import { openForReading } from '../../store/open';
import { SITE_DB } from '../../store/site-store';
import { pagesOf, type Damage } from './verify';

/** Damaged pages of every database of a data folder; it is in use meanwhile. */
export function quickCheck(folder: string): Damage[] {
  const sites = existsSync(join(folder, 'sites')) ? readdirSync(join(folder, 'sites')).sort() : [];
  const files = [join(folder, INSTALLATION_DB), ...sites.map((id) => join(folder, 'sites', id, SITE_DB))];
  return files.filter(existsSync).flatMap((file) => {
    try {
      const db = openForReading(file);
      try {
        return pagesOf(db, file);
      } finally {
        db.close();
      }
    } catch (error) {
      return [{ where: file, what: `cannot be read: ${(error as Error).message}` }];
    }
  });
}
