import { cpSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import type { Id } from '../../core/record/types';
import { INSTALLATION_DB } from '../../store/installation';
import { SITE_DB, SiteStore } from '../../store/site-store';
import { ARCHIVE } from '../../store/take-apart';
import { DataFolderError } from '../base/error';
import { copyKnownPhotos, manifestOf, type Manifest } from './backup';
import { restoreDatabase } from './litestream';
import { databaseAt, isReplica, photosAt, sitesOfReplica } from './replicate';
import { PHOTO_MISSING, verifyFolder, type Damage, type Verified } from './verify';

/** What to restore. */
export interface Wanted {
  /** One site alone; null for all. */
  site: Id | null;
  /** The newest backup that is no younger than this time; null for the newest of all. */
  at: string | null;
}

/** What was restored. */
export interface Restored {
  verified: Verified;
  /** When the backup was made; null for a replica, which ends where each site's journal ends. */
  madeAt: string | null;
  /** When the last line of each site that came from a replica was received. */
  endsAt: Record<Id, string>;
}

/** Something that can be restored: which sites it holds, and how its parts are put into a folder. */
interface Source {
  what: string;
  madeAt: string | null;
  sites: Id[];
  fetch: (into: string, sites: readonly Id[], whole: boolean) => void;
}

/**
 * Restores a backup or a replica into an empty folder; with one site, into a folder in which that site is not. What
 * was restored is verified, and counts only then. Of a replica, which may lack the last seconds, a photo can be
 * missing: that is noted and holds nothing up.
 *
 * @param source a backup's folder, a folder of backups, or a replica
 * @throws DataFolderError when there is no such source, the folder is not empty, or what it holds does not verify
 */
export function restore(source: string, folder: string, { site, at }: Wanted): Restored {
  if (at !== null && Number.isNaN(Date.parse(at)))
    throw new DataFolderError(`--at ${at} is no time; write it like 2026-03-04T10:00:00Z.`);
  const from = isReplica(source) ? replicaSource(resolve(source), at) : backupSource(source, at);
  const { sites, what } = from;
  if (site !== null && !sites.includes(site))
    throw new DataFolderError(`The ${what} holds no site "${site}". It holds ${sites.join(', ') || 'none'}.`);
  const whole = site === null;
  if (whole && existsSync(folder) && readdirSync(folder).length > 0)
    throw new DataFolderError(`${folder} is not empty; nothing was restored. Name an empty folder in YENDRAL_DATA, or one site with --site.`); // prettier-ignore
  if (!whole && existsSync(join(folder, 'sites', site)))
    throw new DataFolderError(`${folder} holds site "${site}" already; nothing was restored. Move its folder away first.`); // prettier-ignore
  const part = `${folder}.restoring`;
  rmSync(part, { recursive: true, force: true });
  mkdirSync(part, { recursive: true });
  try {
    from.fetch(part, whole ? sites : [site], whole);
    const verified = missingNoted(whole ? verifyFolder(part) : onlySite(verifyFolder(part), part, site), from.madeAt); // prettier-ignore
    if (verified.damages.length > 0)
      throw new DataFolderError(`The ${what} does not verify; nothing was restored. ${verified.damages.map(({ where, what: how }) => `${where} ${how}`).join(' ')}`); // prettier-ignore
    const endsAt = from.madeAt === null ? endsOf(part, verified) : {};
    putInPlace(part, folder, site);
    return { verified, madeAt: from.madeAt, endsAt };
  } finally {
    rmSync(part, { recursive: true, force: true });
  }
}

function backupSource(source: string, at: string | null): Source {
  const [from, { madeAt, sites }] = chosen(source, at);
  const fetch: Source['fetch'] = (into, ids, whole) => {
    cpSync(join(from, INSTALLATION_DB), join(into, INSTALLATION_DB));
    for (const id of ids) cpSync(join(from, 'sites', id), join(into, 'sites', id), { recursive: true });
    if (whole && existsSync(join(from, ARCHIVE)))
      cpSync(join(from, ARCHIVE), join(into, ARCHIVE), { recursive: true });
  };
  return { what: `backup of ${madeAt}`, madeAt, sites: sites.map(({ id }) => id), fetch };
}

function replicaSource(source: string, at: string | null): Source {
  const fetch: Source['fetch'] = (into, ids) => {
    if (!restoreDatabase(databaseAt(source, null), join(into, INSTALLATION_DB), at))
      throw new DataFolderError(
        `The replica ${source} does not go back ${at === null ? 'to anything' : `to ${at}`}.`,
      );
    for (const id of ids) {
      mkdirSync(join(into, 'sites', id, 'photos'), { recursive: true });
      const there = restoreDatabase(databaseAt(source, id), join(into, 'sites', id, SITE_DB), at);
      // A site that was added later is not among them.
      if (!there) rmSync(join(into, 'sites', id), { recursive: true });
      else copyKnownPhotos(photosAt(source, id), join(into, 'sites', id));
    }
  };
  return { what: 'replica', madeAt: null, sites: sitesOfReplica(source), fetch };
}

/** A photo that had not come over is no damage of what did. */
function missingNoted(verified: Verified, madeAt: string | null): Verified {
  if (madeAt !== null) return verified;
  const isLost = ({ what }: Damage) => what === PHOTO_MISSING;
  const lost = verified.damages.filter(isLost).map(({ where }) => `${where} had not come over.`);
  return { ...verified, damages: verified.damages.filter((one) => !isLost(one)), notes: [...verified.notes, ...lost] }; // prettier-ignore
}

/** When the newest line of each site was received. */
function endsOf(folder: string, { sites }: Verified): Record<Id, string> {
  return Object.fromEntries(
    sites.map(({ id, seq }) => {
      const store = SiteStore.read(id, join(folder, 'sites', id));
      const at = store.journal.line(seq)?.received_at ?? '';
      store.close();
      return [id, at];
    }),
  );
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
  const newest = backups
    .filter(([, { madeAt }]) => Date.parse(madeAt) <= limit)
    .sort(([, a], [, b]) => (a.madeAt < b.madeAt ? 1 : -1))[0];
  if (newest) return newest;
  if (backups.length === 0) throw new DataFolderError(`${source} is no backup and holds none. Name a folder that npm run backup or npm run replicate has made.`); // prettier-ignore
  throw new DataFolderError(`${source} holds no backup made by ${at}; the oldest is of ${backups.map(([, { madeAt }]) => madeAt).sort()[0]}.`); // prettier-ignore
}
