import { cpSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Id } from '../../core/record/types';
import { INSTALLATION_DB } from '../../store/installation';
import { ARCHIVE } from '../../store/take-apart';
import { DataFolderError } from '../app';
import { manifestOf, type Manifest } from './backup';
import { verifyFolder, type Verified } from './verify';

/** What to restore. */
export interface Wanted {
  /** One site alone; null for all. */
  site: Id | null;
  /** The newest backup that is no younger than this time; null for the newest of all. */
  at: string | null;
}

/**
 * Restores a backup into an empty folder; with one site, into a folder in which that site is not. What was restored
 * is verified, and counts only then.
 *
 * @param source a backup's folder, or a folder of backups
 * @throws DataFolderError when there is no such backup, the folder is not empty, or the backup does not verify
 */
export function restore(
  source: string,
  folder: string,
  { site, at }: Wanted,
): { manifest: Manifest; verified: Verified } {
  const [from, manifest] = chosen(source, at);
  if (site !== null && !manifest.sites.some(({ id }) => id === site))
    throw new DataFolderError(`The backup of ${manifest.madeAt} holds no site "${site}". It holds ${manifest.sites.map(({ id }) => id).join(', ') || 'none'}.`); // prettier-ignore
  const whole = site === null;
  if (whole && existsSync(folder) && readdirSync(folder).length > 0)
    throw new DataFolderError(`${folder} is not empty; nothing was restored. Name an empty folder in YENDRAL_DATA, or one site with --site.`); // prettier-ignore
  if (!whole && existsSync(join(folder, 'sites', site)))
    throw new DataFolderError(`${folder} holds site "${site}" already; nothing was restored. Move its folder away first.`); // prettier-ignore
  const part = `${folder}.restoring`;
  rmSync(part, { recursive: true, force: true });
  mkdirSync(part, { recursive: true });
  try {
    cpSync(join(from, INSTALLATION_DB), join(part, INSTALLATION_DB));
    for (const { id } of manifest.sites.filter((one) => whole || one.id === site))
      cpSync(join(from, 'sites', id), join(part, 'sites', id), { recursive: true });
    if (whole && existsSync(join(from, ARCHIVE)))
      cpSync(join(from, ARCHIVE), join(part, ARCHIVE), { recursive: true });
    const verified = whole ? verifyFolder(part) : onlySite(verifyFolder(part), part, site);
    if (verified.damages.length > 0)
      throw new DataFolderError(`The backup does not verify; nothing was restored. ${verified.damages.map(({ where, what }) => `${where} ${what}`).join(' ')}`); // prettier-ignore
    putInPlace(part, folder, site);
    return { manifest, verified };
  } finally {
    rmSync(part, { recursive: true, force: true });
  }
}

/** The list names sites that were left out on purpose. */
const onlySite = (verified: Verified, part: string, site: Id): Verified => ({
  ...verified,
  damages: verified.damages.filter(({ where }) => where.startsWith(join(part, 'sites', site))),
});

function putInPlace(part: string, folder: string, site: Id | null): void {
  if (site === null) {
    rmSync(folder, { recursive: true, force: true });
    return renameSync(part, folder);
  }
  mkdirSync(join(folder, 'sites'), { recursive: true });
  renameSync(join(part, 'sites', site), join(folder, 'sites', site));
}

function chosen(source: string, at: string | null): [folder: string, manifest: Manifest] {
  const own = manifestOf(source);
  if (own) return [source, own];
  const inside = existsSync(source) ? readdirSync(source).map((name) => join(source, name)) : [];
  const backups = inside.flatMap((folder): [string, Manifest][] => {
    const manifest = manifestOf(folder);
    return manifest ? [[folder, manifest]] : [];
  });
  const limit = at === null ? Infinity : Date.parse(at);
  if (Number.isNaN(limit))
    throw new DataFolderError(`--at ${at} is no time; write it like 2026-03-04T10:00:00Z.`);
  const newest = backups
    .filter(([, { madeAt }]) => Date.parse(madeAt) <= limit)
    .sort(([, a], [, b]) => (a.madeAt < b.madeAt ? 1 : -1))[0];
  if (newest) return newest;
  if (backups.length === 0) throw new DataFolderError(`${source} is no backup and holds none. Name a folder that npm run backup has made.`); // prettier-ignore
  throw new DataFolderError(`${source} holds no backup made by ${at}; the oldest is of ${backups.map(([, { madeAt }]) => madeAt).sort()[0]}.`); // prettier-ignore
}
