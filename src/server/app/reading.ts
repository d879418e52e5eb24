import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Installation, INSTALLATION_DB } from '../../store/installation';
import { SiteStore } from '../../store/site-store';
import { DataFolderError } from '../base/error';

/**
 * Runs a block on a site that is only looked at, also while a server runs on the folder.
 *
 * @param called id or name of the site
 * @throws DataFolderError that names the sites there are, or says that there are none
 */
export function readingSite<R>(folder: string, called: string, run: (store: SiteStore) => R): R {
  const file = join(folder, INSTALLATION_DB);
  if (!existsSync(file))
    throw new DataFolderError(`${folder} holds no data yet. Start the server on it first, or name another folder in YENDRAL_DATA.`); // prettier-ignore
  const installation = Installation.read(file);
  try {
    const listed = installation.sites();
    const found = listed.find(({ id, name }) => id === called || name === called);
    if (!found)
      throw new DataFolderError(`There is no site "${called}". Sites: ${listed.map(({ name }) => name).join(', ') || 'none yet'}.`); // prettier-ignore
    const store = SiteStore.read(found.id, join(folder, 'sites', found.id));
    try {
      return store.db.transaction(() => run(store))();
    } finally {
      store.close();
    }
  } finally {
    installation.close();
  }
}
