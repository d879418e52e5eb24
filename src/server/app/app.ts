import { accessSync, constants, existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Id } from '../../core/record/types';
import { holdFolder, type FolderLock } from '../../store/folder-lock';
import { Installation, INSTALLATION_DB } from '../../store/installation';
import type { SiteStore } from '../../store/site-store';
import { SiteStores } from '../../store/site-stores';
import { DatabaseError, leaveCheckpoints } from '../../store/open';
import { replicaOf } from '../../store/replicating';
import { takeApart } from '../../store/take-apart';
import type { Clock } from '../base/clock';
import { DataFolderError } from '../base/error';
import { EventHub } from '../base/events';
import { InstrumentHost } from '../instruments/host';
import type { Taking } from '../commands/accept';
import { Refresher } from '../writing/refresher';
import { follow } from '../instruments/register';
import { WHOLE_MOST } from './sync';
import { listedSites, listSafely } from '../base/site-list';
import { doneHere, type Jobs } from '../jobs/job';
import { writerHere, type Writer } from '../writing/writer';

/** Everything a use case needs; one per process. */
export interface App {
  installation: Installation;
  sites: SiteStores;
  clock: Clock;
  events: EventHub;
  instruments: InstrumentHost;
  /** Writes into sites. */
  writer: Writer;
  /** Judges again what commands have touched. */
  refresher: Refresher;
  heard: Taking['heard'];
  /** Does work that grows with its input. */
  jobs: Jobs;
  /** Entries of a site up to which a device keeps all of it. */
  wholeMost: number;
  /** The clock was set by hand, so pages take their time from the server. */
  testClock: boolean;
  /** Sites that have changed since they were listed. */
  changed: Set<Id>;
  folder: string;
  /** The program that used the folder before did not end well: its files want to be looked through. */
  unclean: boolean;
  lock: FolderLock;
}

/**
 * Opens the data folder, making it when it is not there, and holds it: one folder, one server. A database of the
 * earlier layout is taken apart into a file per site first.
 *
 * @param folder data folder: the installation's database and a folder per site
 * @param migrations folder of the folders of numbered `.sql` files
 * @throws DataFolderError when the folder cannot be made or written, or is in use
 */
export function openApp(folder: string, migrations: string, clock: Clock, testClock = false): App {
  needFolder(folder);
  try {
    const lock = holdFolder(folder);
    try {
      const now = () => clock().toISOString();
      takeApart(folder, migrations, now());
      const unclean = !endedWell(folder);
      const installation = Installation.open(join(folder, INSTALLATION_DB), join(migrations, 'installation'));
      const sites = new SiteStores(join(folder, 'sites'), join(migrations, 'site'), now);
      const events = new EventHub();
      const instruments = new InstrumentHost(events, clock);
      const app: App = {
        installation,
        sites,
        clock,
        events,
        instruments,
        writer: writerHere(() => app),
        refresher: new Refresher(sites, clock),
        heard: (store, changes, by) => follow(app, store, changes, by),
        jobs: doneHere,
        wholeMost: WHOLE_MOST,
        testClock,
        changed: new Set<Id>(),
        folder,
        unclean,
        lock,
      };
      heedReplication(app);
      listAll(app);
      return app;
    } catch (error) {
      lock.release();
      throw error;
    }
  } catch (error) {
    if (error instanceof DatabaseError) throw new DataFolderError(error.message);
    throw error;
  }
}

/** File that stands in a folder while it is used: found at the start, the last one did not end well. */
const IN_USE = 'in-use';

/** Whether the last user of a folder ended well; from here on it is in use. */
function endedWell(folder: string): boolean {
  const file = join(folder, IN_USE);
  const well = !existsSync(file);
  writeFileSync(file, '');
  return well;
}

function needFolder(folder: string): void {
  try {
    mkdirSync(folder, { recursive: true });
    accessSync(folder, constants.W_OK);
  } catch (error) {
    throw new DataFolderError(
      `The data folder ${folder} cannot be written (${(error as NodeJS.ErrnoException).code}). ` +
        'Give write access to it, or name another folder in YENDRAL_DATA.',
    );
  }
}

/**
 * The list follows the files: a site whose folder was put there is listed, one that is gone is not. Each file is
 * looked at; a damaged one is named, and the others go on.
 */
function listAll(app: App): void {
  const there = new Set(app.sites.ids());
  for (const { id } of app.installation.sites()) if (!there.has(id)) app.installation.unlist(id);
  for (const id of there) listSafely(app, id);
}

/**
 * The site of an id or a name.
 *
 * @throws Error that names the sites there are
 */
export function siteCalled(app: App, called: string): SiteStore {
  const { sites } = app;
  const listed = listedSites(app);
  const store = sites.get(listed.find(({ id, name }) => id === called || name === called)?.id ?? '');
  if (store) return store;
  throw new Error(
    `There is no site "${called}". Sites: ${listed.map(({ name }) => name).join(', ') || 'none yet'}.`,
  );
}

/** While a replicator reads the logs, copying them into the databases is left to it. */
export function heedReplication({ folder, sites, installation }: App): void {
  const left = replicaOf(folder) !== null;
  sites.leaveCheckpoints(left);
  leaveCheckpoints(installation.db, left);
}

/** Ends the streams and closes the databases; what is still stale is judged after the next start. */
export function closeApp(app: App): void {
  app.instruments.stop();
  app.events.end();
  app.refresher.stop();
  listedSites(app);
  heedReplication(app);
  app.sites.close();
  app.installation.close(replicaOf(app.folder) !== null);
  rmSync(join(app.folder, IN_USE), { force: true });
  app.lock.release();
}
