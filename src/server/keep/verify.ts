import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Id } from '../../core/record/types';
import { Installation, INSTALLATION_DB } from '../../store/installation';
import { firstBrokenOf, headOf, type BrokenLine } from '../../store/journal';
import { openForReading, type Db } from '../../store/open';
import { photoFile } from '../../store/photos';
import { SITE_DB, SiteStore } from '../../store/site-store';
import { ARCHIVE, WHOLE_DB } from '../../store/take-apart';
import { firstDeparture } from './replay';
import { checkSeals } from './seals';

/** A place that is not as it should be. */
export interface Damage {
  /** The file. */
  where: string;
  /** What is wrong, and what to do, in words. */
  what: string;
}

/** What was verified, and what was found. */
export interface Verified {
  damages: Damage[];
  sites: { id: Id; name: string | null; seq: number; hash: string; photos: number }[];
  /** What is no damage and has to be known. */
  notes: string[];
}

/** Said of a photo whose file is not there. */
export const PHOTO_MISSING = 'is missing. Put it back from a backup.';

const RESTORE = 'Restore the site from a backup (npm run restore), and keep the damaged file.';

/**
 * Verifies a data folder, a backup or a restored one: each database's pages, each site's chain from its first line,
 * its photos by their hashes, its seals by what they rest on, its records against its journal, and the archive of the earlier layout.
 *
 * @param told hears what is being looked at
 */
export function verifyFolder(folder: string, told: (what: string) => void = () => undefined): Verified {
  const verified: Verified = { damages: [], sites: [], notes: [] };
  const { damages } = verified;
  if (!existsSync(join(folder, INSTALLATION_DB)))
    return { ...verified, damages: [{ where: join(folder, INSTALLATION_DB), what: 'is not there. Name the data folder, or a backup of it.' }] }; // prettier-ignore
  told(INSTALLATION_DB);
  const listed = named(damages, join(folder, INSTALLATION_DB), () => {
    const installation = Installation.read(join(folder, INSTALLATION_DB));
    try {
      damages.push(...pagesOf(installation.db, join(folder, INSTALLATION_DB)));
      return installation.sites();
    } finally {
      installation.close();
    }
  });
  const folders = existsSync(join(folder, 'sites')) ? readdirSync(join(folder, 'sites')).sort() : [];
  for (const { id, name } of listed ?? [])
    if (!folders.includes(id))
      damages.push({
        where: join(folder, 'sites', id),
        what: `is not there, but ${name} is listed. ${RESTORE}`,
      });
  for (const id of folders) {
    told(`site ${id}`);
    const own = join(folder, 'sites', id);
    const site = named(damages, join(own, SITE_DB), () => verifySite(own, id, verified));
    if (site) verified.sites.push(site);
  }
  const archive = join(folder, ARCHIVE, WHOLE_DB);
  if (existsSync(archive)) {
    told('archive');
    named(damages, archive, () => verifyArchive(archive, folder, folders, damages));
  }
  return verified;
}

/** Runs a block; a file that cannot be read at all is a damage too. */
function named<R>(damages: Damage[], where: string, run: () => R): R | null {
  try {
    return run();
  } catch (error) {
    damages.push({ where, what: `cannot be read: ${(error as Error).message} ${RESTORE}` });
    return null;
  }
}

/** Damaged pages of a database, the first few. */
export function pagesOf(db: Db, where: string): Damage[] {
  const found = db.pragma('integrity_check(3)') as { integrity_check: string }[];
  return found
    .filter(({ integrity_check: said }) => said !== 'ok')
    .map(({ integrity_check: said }) => ({ where, what: `has a damaged page: ${said}. ${RESTORE}` }));
}

function verifySite(folder: string, id: Id, { damages, notes }: Verified): Verified['sites'][number] {
  const where = join(folder, SITE_DB);
  const store = SiteStore.read(id, folder);
  // All of it as at one moment: a server may be writing meanwhile.
  const look = store.db.transaction(() => {
    const before = damages.length;
    damages.push(...pagesOf(store.db, where));
    const strays = store.db.pragma('foreign_key_check') as { table: string; rowid: number }[];
    if (strays.length > 0)
      damages.push({ where, what: `has a ${strays[0]!.table} that points at nothing. ${RESTORE}` });
    const broken = store.journal.firstBroken();
    if (broken) damages.push({ where, what: `${brokenWords(broken)} ${RESTORE}` });
    damages.push(...photosOf(store));
    const seals = checkSeals(store);
    damages.push(...seals.damages.map((what) => ({ where, what: `${what} ${RESTORE}` })));
    if (seals.note) notes.push(`${where}: ${seals.note}`);
    // Records are compared only with a journal that can be believed.
    if (damages.length === before) {
      const departure = firstDeparture(store);
      if (departure) damages.push({ where, what: `${departureWords(departure)} ${RESTORE}` });
    }
    const photos = store.photos.all().length;
    return { id, name: store.site?.name ?? null, ...store.journal.head(), photos };
  });
  try {
    return look();
  } finally {
    store.close();
  }
}

function departureWords({ table, id, seq }: NonNullable<ReturnType<typeof firstDeparture>>): string {
  if (table) return `${table} ${id} is not what the journal adds up to: it was changed beside it.`;
  if (id === 'migrated' || id === 'checkpoint')
    return `the records do not go back to what line ${seq} of the journal says they were.`;
  return `command ${id}, line ${seq} of the journal, cannot be followed on the records before it.`;
}

/** What a break in a chain means. */
const brokenWords = ({ seq, what }: BrokenLine): string =>
  what === 'missing'
    ? `line ${seq} of the journal is missing.`
    : what === 'link'
      ? `line ${seq} of the journal does not follow on the one before: a line was changed or taken out.`
      : `line ${seq} of the journal was changed: its hash does not hold.`;

function photosOf(store: SiteStore): Damage[] {
  return store.photos.all().flatMap((photo) => {
    const where = join(store.folder, 'photos', photoFile(photo));
    if (!existsSync(where)) return [{ where, what: PHOTO_MISSING }];
    const hash = createHash('sha256').update(readFileSync(where)).digest('hex');
    return hash === photo.sha256 ? [] : [{ where, what: 'is not the photo that was stored. Put it back from a backup.' }]; // prettier-ignore
  });
}

/** The earlier database: its own chain, and that the sites began where it ended. */
function verifyArchive(file: string, folder: string, sites: readonly Id[], damages: Damage[]): void {
  const db = openForReading(file);
  try {
    damages.push(...pagesOf(db, file));
    const broken = firstBrokenOf(db);
    if (broken) damages.push({ where: file, what: brokenWords(broken) });
    const { hash: head } = headOf(db);
    for (const id of sites) {
      const where = join(folder, 'sites', id);
      if (!SiteStore.exists(where)) continue;
      const store = SiteStore.read(id, where);
      const first = store.journal.line(1);
      const line = first && (JSON.parse(first.command) as { kind: string; payload: { head?: string } });
      if (line?.kind === 'migrated' && line.payload.head !== head)
        damages.push({ where: file, what: `is not the database that site ${id} was taken from.` });
      store.close();
    }
  } finally {
    db.close();
  }
}
