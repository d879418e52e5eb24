import { isRefusal, type CommandKind, type Payloads } from '../../core/commands/commands';
import { refusalSentence } from '../../core/words/en/refusals';
import type { Id } from '../../core/record/types';
import { device, hush, say } from './hand';

/**
 * Gives a command and says so, with an undo.
 *
 * @param done what to say; empty says nothing
 * @returns the command's id, or null when it was refused (the reason has been said)
 */
export function give<K extends CommandKind>(kind: K, payload: Payloads[K], done = '', site?: Id): Id | null {
  const given = tryGive(kind, payload, done, site);
  if (typeof given === 'string') return given;
  say(given.message);
  return null;
}

/** Why something was not taken, in words. */
export interface Refused {
  /** Dotted path of the field in the payload. */
  field: string;
  message: string;
}

/**
 * The same for a form, which tells the reason at its field.
 *
 * @returns the command's id, or why it was refused
 */
export function tryGive<K extends CommandKind>(
  kind: K,
  payload: Payloads[K],
  done = '',
  site?: Id,
): Id | Refused {
  try {
    const id = device.give(kind, payload, site);
    // What was said before has been answered by this.
    if (done === '') hush();
    if (done) say(done, { title: 'Undo', run: () => void give('undo', { command: id }, 'Undone.') });
    return id;
  } catch (error) {
    if (!isRefusal(error)) throw error;
    return { field: error.field, message: refusalSentence(error) };
  }
}

/** Takes back the last change of the signed-in person that is not undone yet. */
export function undoLast(): void {
  const { slice, site, person } = device.state();
  if (!site || !person) return;
  const own = slice
    .by('change', 'site', site)
    .filter(({ kind, by, undone }) => kind !== 'undo' && by === person.name && !undone);
  const last = own.pop();
  if (!last) return say('There is nothing to undo.');
  const { batch } = last;
  const together = batch === undefined ? [] : own.filter((one) => one.batch === batch).reverse();
  const done = `Undone: ${WORDS[last.kind] ?? last.kind}.`;
  if (give('undo', { command: last.id }, done) === null) return;
  for (const { id } of together) if (give('undo', { command: id }, done) === null) return;
}

const WORDS: Record<string, string> = {
  'reading.take': 'the reading',
  'reading.strike': 'striking out a reading',
  'look.answer': 'the answer',
  'look.together': 'the answers',
  'pour.record': 'the mixing',
  'pour.edit': 'the change of the mixing',
  'defect.raise': 'the defect',
  'defect.edit': 'the change of the defect',
  'dossier.import': 'the import',
};
