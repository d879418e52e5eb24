import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction, type StoreNames } from 'idb';
import type { Person } from '../client/api';
import type { AnyCommand } from '../core/commands/commands';
import type { Scope } from '../core/record/closure';
import { completed } from '../core/record/completed';
import type { Judged, Snapshot } from '../core/commands/news';
import { TABLES } from '../core/record/tables';
import type { Id, TableName, Tables } from '../core/record/types';

/** A command that waits on this device, or that was set aside. */
export interface Waiting {
  command: AnyCommand;
  /** Id and name of who gave it: each sends their own. */
  person: Id;
  by: string;
  /** Why it was not taken; null while it waits. */
  refusal: { code: string; field: string; message: string } | null;
  /** Was sent once, and the server has lost it: it goes again when somebody says so. */
  held?: boolean;
}

/** A command that the server has taken, kept in case the server goes back behind it. */
export interface Sent extends Omit<Waiting, 'refusal' | 'held'> {
  id: Id;
  seq: number;
}

/** A photo whose bytes are still here. */
export interface KeptPhoto {
  id: Id;
  /** The site that it is of; a photo kept by an earlier version does not say. */
  site?: Id;
  bytes: Blob;
  /** Why the server does not take it; null while it waits. */
  refusal?: string | null;
}

/** Where a site's copy stands. */
export interface CopyHead {
  site: Id;
  journal: string;
  seq: number;
  /** Hash of that line: a server that went back has another, or none. */
  hash: string;
  /** What of the site it is; none: all. */
  scope?: Scope;
  /** How much has been fetched for it, bytes; a copy of an earlier version does not say. */
  bytes?: number;
}

/** What the device remembers of its last session, for the time without a server. */
export interface Remembered {
  session: { person: Person | null; people: Person[] } | null;
  sites: { id: Id; name: string }[];
}

/** Something that a person has to be told: a value of theirs that another one replaced. */
export interface Notice {
  id: string;
  text: string;
}

type RecordKey = [site: Id, table: TableName, id: Id];
type StatusKey = [site: Id, entry: Id];

interface Schema extends DBSchema {
  outbox: { key: Id; value: Waiting };
  sent: { key: Id; value: Sent };
  photos: { key: Id; value: KeptPhoto };
  /** A copy as it came from the server, one text: it is on the device at once. */
  wholes: { key: Id; value: string };
  /** What is otherwise by now; null where there is none any more. */
  records: { key: RecordKey; value: Tables[TableName] | null };
  copies: { key: Id; value: CopyHead };
  /** Where entries stand otherwise than the copy came with; null where something has touched one since. */
  statuses: { key: StatusKey; value: Judged | null };
  facts: { key: string; value: unknown };
}

export type DeviceDb = IDBPDatabase<Schema>;

/** Opens this device's own store, and takes over what the version before has left in it. */
export const openDeviceDb = (): Promise<DeviceDb> =>
  openDB<Schema>('yendral', 3, {
    upgrade(db, old, _new, transaction) {
      // A store that cannot be taken over stays as it was.
      upgrade(db, old, transaction).catch(() => transaction.abort());
    },
    blocked() {
      // Another tab still works with the version before; it closes its store when it hears of this one.
    },
    blocking(_old, _new, event) {
      (event.target as IDBDatabase).close();
    },
  });

type Upgrading = IDBPTransaction<Schema, StoreNames<Schema>[], 'versionchange'>;

async function upgrade(db: DeviceDb, old: number, transaction: Upgrading): Promise<void> {
  if (old < 1) {
    db.createObjectStore('outbox', { keyPath: 'command.id' });
    db.createObjectStore('photos', { keyPath: 'id' });
    db.createObjectStore('facts');
  }
  db.createObjectStore('statuses');
  db.createObjectStore('wholes');
  if (old >= 2) return;
  db.createObjectStore('sent', { keyPath: 'id' });
  const records = db.createObjectStore('records');
  const copies = db.createObjectStore('copies', { keyPath: 'site' });
  if (old < 1) return;
  // Version 1 kept a whole copy in one value.
  const names = db.objectStoreNames as DOMStringList;
  if (!names.contains('sites')) return;
  const before = transaction as unknown as { objectStore(name: string): { getAll(): Promise<(Snapshot & { id: Id })[]> } }; // prettier-ignore
  for (const { id: site, journal, seq, records: of } of await before.objectStore('sites').getAll()) {
    for (const table of TABLES)
      for (const record of of[table] ?? [])
        void records.put(completed(table, record), [site, table, record.id]);
    // The hash of its line is not known yet; the server tells it with the next news.
    void copies.put({ site, journal, seq, hash: '' });
  }
  (db as unknown as IDBDatabase).deleteObjectStore('sites');
}

/** Every key of a site's records, or of its statuses. */
export const recordsOf = (site: Id): IDBKeyRange => IDBKeyRange.bound([site], [site, []]);
