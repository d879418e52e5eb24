import type { JournalEvent } from '../../core/record/snapshot';
import type { Id, Photo } from '../../core/record/types';
import type { Person } from '../../store/people';
import type { CommandAnswer } from '../commands/accept';
import type { RefreshProgress } from '../commands/refresher';

/** What the writing thread is asked for; each has a number that its answer names. */
export type Asked = { number: number } & (
  | { ask: 'accept'; values: readonly unknown[]; person: Person }
  | { ask: 'photo'; site: Id; photo: Photo; sent: string }
  | { ask: 'list' }
  | { ask: 'end' }
);

/** What it says: an answer, a fault, or something that happened. */
export type Said =
  | { number: number; answers: CommandAnswer[] | null }
  | { number: number; fault: { name: string; message: string; code: string | undefined } }
  | { news: JournalEvent }
  | { refreshing: RefreshProgress };

/** What the thread is started with. */
export interface ThreadData {
  folder: string;
  migrations: string;
  /** `YENDRAL_NOW`, so that its clock is the server's. */
  now: string | undefined;
}
