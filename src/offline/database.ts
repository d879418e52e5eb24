import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Session } from '../client/api';
import type { Snapshot } from '../core/record/snapshot';
import type { AnyCommand } from '../core/record/commands';
import type { Id } from '../core/record/types';

/** A command that waits on this device, or that the server refused. */
export interface Waiting {
  command: AnyCommand;
  /** Id and name of who gave it: each sends their own. */
  person: Id;
  by: string;
  refusal: { code: string; field: string; message: string } | null;
}

interface Schema extends DBSchema {
  outbox: { key: Id; value: Waiting };
  photos: { key: Id; value: { id: Id; bytes: Blob; sent: boolean } };
  sites: { key: Id; value: Snapshot & { id: Id } };
  facts: { key: string; value: unknown };
}

export type DeviceDb = IDBPDatabase<Schema>;

/** Opens this device's own store. */
export const openDeviceDb = (): Promise<DeviceDb> =>
  openDB<Schema>('yendral', 1, {
    upgrade(db) {
      db.createObjectStore('outbox', { keyPath: 'command.id' });
      db.createObjectStore('photos', { keyPath: 'id' });
      db.createObjectStore('sites', { keyPath: 'id' });
      db.createObjectStore('facts');
    },
  });

/** What the device remembers of its last session, for the time without a server. */
export interface Remembered {
  session: Session | null;
  sites: { id: Id; name: string }[];
}
