import { copyFileSync, cpSync, existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'; // prettier-ignore
import { randomBytes } from 'node:crypto';
import { join } from 'node:path';
import { INSTALLATION_DB } from '../../store/installation';
import { openForReading } from '../../store/open';
import { photoFile, Photos } from '../../store/photos';
import { SITE_DB, SiteStore } from '../../store/site-store';
import { ARCHIVE } from '../../store/take-apart';
import { DataFolderError } from '../base/error';
import { verifyFolder, type Verified } from './verify';

/** File that makes a folder a backup, and says when it was made. */
const MANIFEST = 'yendral-backup.json';

/** What a backup says of itself. */
export interface Manifest {
  format: 'yendral-backup-1';
  madeAt: string;
  sites: Verified['sites'];
}

/**
 * Backs a data folder up while a server may run on it: each database as it is at one moment, then the photos that it
 * knows of. It counts only once it has been verified by opening it.
 *
 * @param target folder of backups; this one gets a folder of its own in it, named after its time
 * @returns the backup's folder and what it holds
 * @throws DataFolderError when there is nothing to back up, or the copy does not verify
 */
export async function backUp(
  folder: string,
  target: string,
  at: string,
  told: (what: string) => void = () => undefined,
): Promise<{ folder: string; manifest: Manifest }> {
  if (!existsSync(join(folder, INSTALLATION_DB)))
    throw new DataFolderError(`${folder} holds no data; there is nothing to back up. Name the folder in YENDRAL_DATA.`); // prettier-ignore
  const name = at.replace(/\.\d+/, '').replaceAll(':', '-');
  const made = join(target, name);
  if (existsSync(made)) throw new DataFolderError(`${made} is there already. Wait a second and try again.`);
  // A folder of its own, whoever else backs up into the same place at the same moment.
  const part = join(target, `${name}.${randomBytes(4).toString('hex')}.part`);
  mkdirSync(part, { recursive: true });
  try {
    // Sites first: a site that is made meanwhile is in the list without a file, and not the other way round.
    const sites = existsSync(join(folder, 'sites')) ? readdirSync(join(folder, 'sites')).sort() : [];
    await copyDatabase(join(folder, INSTALLATION_DB), join(part, INSTALLATION_DB));
    for (const id of sites.filter((one) => SiteStore.exists(join(folder, 'sites', one)))) {
      told(`site ${id}`);
      await copySite(join(folder, 'sites', id), join(part, 'sites', id));
    }
    if (existsSync(join(folder, ARCHIVE)))
      cpSync(join(folder, ARCHIVE), join(part, ARCHIVE), { recursive: true });
    told('verifying the copy');
    const { damages, sites: held } = verifyFolder(part);
    if (damages.length > 0)
      throw new DataFolderError(`The copy does not verify, and was thrown away. ${damages.map(({ where, what }) => `${where} ${what}`).join(' ')}`); // prettier-ignore
    const manifest: Manifest = { format: 'yendral-backup-1', madeAt: at, sites: held };
    writeFileSync(join(part, MANIFEST), `${JSON.stringify(manifest, null, 2)}\n`);
    putInPlace(part, made);
    return { folder: made, manifest };
  } catch (error) {
    rmSync(part, { recursive: true, force: true });
    throw error;
  }
}

/** The name counts for the one that had it first. */
function putInPlace(part: string, made: string): void {
  try {
    renameSync(part, made);
  } catch (error) {
    if (!existsSync(made)) throw error;
    throw new DataFolderError(`${made} was made by another backup meanwhile; that one counts.`);
  }
}

async function copyDatabase(from: string, to: string): Promise<void> {
  const db = openForReading(from);
  try {
    await db.backup(to);
  } finally {
    db.close();
  }
}

/** A site's database, then the photos that the copy knows of: their files were there before their rows. */
async function copySite(from: string, to: string): Promise<void> {
  mkdirSync(join(to, 'photos'), { recursive: true });
  await copyDatabase(join(from, SITE_DB), join(to, SITE_DB));
  copyKnownPhotos(join(from, 'photos'), to);
}

/** Copies the photos that a site's database knows of into its folder, from where they lie. */
export function copyKnownPhotos(from: string, site: string): void {
  const db = openForReading(join(site, SITE_DB));
  try {
    for (const photo of new Photos(db).all()) {
      const name = photoFile(photo);
      if (existsSync(join(from, name))) copyFileSync(join(from, name), join(site, 'photos', name));
    }
  } finally {
    db.close();
  }
}

/** The backup of a folder, as it says itself; null for any other folder. */
export function manifestOf(folder: string): Manifest | null {
  const file = join(folder, MANIFEST);
  if (!existsSync(file)) return null;
  const manifest = JSON.parse(readFileSync(file, 'utf8')) as Manifest;
  return manifest.format === 'yendral-backup-1' ? manifest : null;
}
