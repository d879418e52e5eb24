import { accessSync, constants, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { Store } from '../store/store';
import type { Clock } from './clock';
import { EventHub } from './events';
import { InstrumentHost } from './instruments/host';

/** Everything a use case needs; one per process. */
export interface App {
  store: Store;
  clock: Clock;
  /** Folder of the photo files. */
  photos: string;
  events: EventHub;
  instruments: InstrumentHost;
  /** The clock was set by hand, so pages take their time from the server. */
  testClock: boolean;
}

/** A data folder that cannot be used; the message says what to do. */
export class DataFolderError extends Error {}

/**
 * Opens the data folder, making it when it is not there.
 *
 * @param folder data folder: the database file and the photos
 * @param migrations folder of the numbered `.sql` files
 * @throws DataFolderError when the folder cannot be made or written
 */
export function openApp(folder: string, migrations: string, clock: Clock, testClock = false): App {
  const photos = join(folder, 'photos');
  try {
    mkdirSync(photos, { recursive: true });
    accessSync(folder, constants.W_OK);
    accessSync(photos, constants.W_OK);
  } catch (error) {
    throw new DataFolderError(
      `The data folder ${folder} cannot be written (${(error as NodeJS.ErrnoException).code}). ` +
        'Give write access to it, or name another folder in YENDRAL_DATA.',
    );
  }
  const events = new EventHub();
  return {
    store: openStore(join(folder, 'yendral.db'), migrations),
    clock,
    photos,
    events,
    instruments: new InstrumentHost(events, clock),
    testClock,
  };
}

function openStore(file: string, migrations: string): Store {
  try {
    return new Store(file, migrations);
  } catch (error) {
    const { code } = error as { code?: string };
    if (code?.startsWith('SQLITE_READONLY') || code === 'SQLITE_CANTOPEN') {
      throw new DataFolderError(
        `The database ${file} cannot be written (${code}). Give write access to it, or name another folder in YENDRAL_DATA.`,
      );
    }
    if (code === 'SQLITE_NOTADB' || code === 'SQLITE_CORRUPT') {
      throw new DataFolderError(`${file} is no sound database (${code}). Put a backup in its place.`);
    }
    throw error;
  }
}

/** Ends the streams and closes the database. */
export function closeApp(app: App): void {
  app.instruments.stop();
  app.events.end();
  app.store.close();
}
