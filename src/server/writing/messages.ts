import type { InputError } from '../../core/quantity/error';
import type { Refusal } from '../../core/commands/commands';
import type { JournalEvent, JudgingProgress } from '../../core/commands/news';
import type { Id, Photo } from '../../core/record/types';
import type { Person } from '../../store/people';
import type { CommandAnswer } from '../commands/accept';

/** What the writing thread is asked for; each has a number that its answer names. */
export type Asked = { number: number } & (
  | { ask: 'accept'; values: readonly unknown[]; person: Person }
  | { ask: 'photo'; site: Id; photo: Photo; sent: string }
  | { ask: 'keep-instrument'; value: unknown; person: Person }
  | { ask: 'lend'; instrument: Id; site: Id; person: Person }
  | { ask: 'list' }
  | { ask: 'judging'; site: Id; go: boolean }
  | { ask: 'end' }
);

/** Why something failed, as far as the other thread has to know. */
export interface Fault {
  name: string;
  message: string;
  code: string | undefined;
  field: string | undefined;
  /** What was wrong with an input, and why a command was refused; null for any other fault. */
  input: Pick<InputError, 'field' | 'key' | 'facts'> | null;
  refusal: Pick<Refusal, 'code' | 'field' | 'key' | 'facts' | 'because'> | null;
}

/** What it says: an answer, a fault, or something that happened. */
export type Said =
  | { number: number; answers: CommandAnswer[] | null }
  | { number: number; fault: Fault }
  | { news: JournalEvent }
  | { refreshing: JudgingProgress };

/** What the thread is started with. */
export interface ThreadData {
  folder: string;
  migrations: string;
  /** `YENDRAL_NOW`, so that its clock is the server's. */
  now: string | undefined;
  /** The bundled worker that judges beside it. */
  worker: string;
}
