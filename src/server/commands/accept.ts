import { InputError } from '../../core/quantity/error';
import { isRefusal, Refusal, type AnyCommand } from '../../core/record/commands';
import { canonicalHash } from '../../core/record/seal';
import type { Id } from '../../core/record/types';
import type { Person } from '../../store/people';
import type { App } from '../app';
import { parseCommand } from '../../shapes/parse';

/** A device clock may be ahead by this much; a later time is taken back to the server's. */
const AHEAD_MS = 120_000;
/** Commands that one request may carry. */
export const MOST_COMMANDS = 200;

/** What became of one command. */
export type CommandAnswer =
  | {
      id: Id;
      status: 'applied';
      seq: number;
      hash: string;
      /** The site's line of the journal before this one. */
      after: number;
      clamped: boolean;
    }
  | { id: Id | null; status: 'refused'; code: string; field: string; message: string };

/**
 * Takes commands in order, each for itself: one that is refused does not stop the others. All that are
 * accepted are on the disk when this returns.
 *
 * @param values untrusted JSON values
 * @param person who gives them
 */
export function acceptCommands(app: App, values: readonly unknown[], person: Person): CommandAnswer[] {
  const sites = new Map<Id, number>();
  const answers = acceptBatch(app, values, person);
  answers.forEach((answer, i) => {
    if (answer.status === 'applied') sites.set((values[i] as AnyCommand).site, answer.seq);
  });
  for (const [site, seq] of sites) app.events.send('journal', { site, seq });
  return answers;
}

/** All in one transaction; where one of them breaks it, each in its own, so that the others are taken. */
function acceptBatch(app: App, values: readonly unknown[], person: Person): CommandAnswer[] {
  try {
    return acceptTogether(app, values, person);
  } catch (error) {
    if (isStorage(error)) throw error;
    console.error(error);
    if (values.length === 1) return [faultOf(values[0])];
    return values.flatMap((value) => acceptBatch(app, [value], person));
  }
}

function acceptTogether(app: App, values: readonly unknown[], person: Person): CommandAnswer[] {
  const { store } = app;
  return store.transaction(() => {
    const given = values.map((value) => acceptOne(app, value, person));
    store.settle(app.clock().toISOString());
    return given;
  });
}

/** A disk that is full or busy says nothing about the command: it is sent again. */
const isStorage = (error: unknown): boolean =>
  /^SQLITE_(FULL|IOERR|BUSY|READONLY|CORRUPT|CANTOPEN|NOMEM)/.test((error as { code?: string }).code ?? '');

/** One that the server fails on stands aside with a word, and holds up nothing else. */
const faultOf = (value: unknown): CommandAnswer => ({
  id: idOf(value),
  status: 'refused',
  code: 'fault',
  field: '',
  message: 'The server failed on this record and took nothing of it. Try it again, or type it anew.',
});

function acceptOne(app: App, value: unknown, person: Person): CommandAnswer {
  const id = idOf(value);
  try {
    const command = parseCommand(value);
    // A savepoint of its own, so that a refusal takes back only this command.
    return app.store.savepoint(() => applyOnce(app, command, person));
  } catch (error) {
    if (error instanceof InputError) {
      return { id, status: 'refused', code: 'invalid', field: error.field, message: error.message };
    }
    if (isRefusal(error)) {
      return { id, status: 'refused', code: error.code, field: error.field, message: error.message };
    }
    if (isStorage(error)) throw error;
    console.error(error);
    return faultOf(value);
  }
}

function applyOnce(app: App, given: AnyCommand, { id: who, name: person }: Person): CommandAnswer {
  const { store, clock } = app;
  const { person: said, ...own } = given;
  const sent = own as AnyCommand;
  if (said !== undefined && said !== who) {
    throw new Refusal('invalid', 'person', `This was recorded by somebody else. It is sent when they sign in again; ${person} is signed in now.`); // prettier-ignore
  }
  const sentHash = canonicalHash({ sent, person });
  const known = store.journal.find(sent.id);
  if (known) {
    if (known.sent !== sentHash) {
      throw new Refusal('exists', 'id', 'Another command has this id. Make a new id.');
    }
    const { at } = JSON.parse(known.command) as AnyCommand;
    const after = store.journal.lastOf(sent.site, known.seq);
    return {
      id: sent.id,
      status: 'applied',
      seq: known.seq,
      hash: known.hash,
      after,
      clamped: at !== sent.at,
    };
  }
  needPhotos(app, sent);
  const receivedAt = clock().toISOString();
  const clamped = Date.parse(sent.at) > Date.parse(receivedAt) + AHEAD_MS;
  const command = { ...sent, at: clamped ? receivedAt : new Date(sent.at).toISOString() } as AnyCommand;
  const after = store.journal.lastOf(command.site);
  const { seq, hash } = store.commit(command, person, receivedAt, sentHash);
  return { id: sent.id, status: 'applied', seq, hash, after, clamped };
}

/** Bytes come before the command that shows them. */
function needPhotos(app: App, command: AnyCommand): void {
  for (const [field, id] of photosOf(command)) {
    if (app.store.photos.find(id)) continue;
    throw new Refusal('unknown-id', field, 'The bytes of this photo have not arrived. Send the photo first.');
  }
}

function photosOf(command: AnyCommand): [field: string, id: Id][] {
  if (command.kind === 'look.answer' && command.payload.photo)
    return [['payload.photo', command.payload.photo]];
  if (command.kind === 'defect.raise')
    return command.payload.photos.map((id, i) => [`payload.photos.${i}`, id]);
  if (command.kind === 'defect.edit') {
    return (command.payload.set.photos ?? []).map((id, i) => [`payload.set.photos.${i}`, id]);
  }
  return [];
}

const idOf = (value: unknown): Id | null => {
  const id = (value as { id?: unknown } | null)?.id;
  return typeof id === 'string' ? id : null;
};
