import { api, ApiError } from '../../client/api';
import { now } from '../../client/clock';
import type { AnyCommand, ImportItem } from '../../core/commands/commands';
import { importCommands, undoCommands } from '../../core/commands/import-commands';
import type { Id } from '../../core/record/types';
import { device, say } from '../hand/hand';

/**
 * Has the server take many records as one: it has looked at them, and a large site's records are not all on this device.
 * Says what was done, with an undo.
 *
 * @returns why nothing of it was taken; null when it was
 */
export async function takeTogether(site: Id, source: string, items: readonly ImportItem[], done: string): Promise<string | null> {
  const commands = importCommands(items, { site, source, at: now(), id: () => device.id() });
  const refused = await send(commands);
  if (refused !== null) return refused;
  const ids = commands.map(({ id }) => id);
  say(done, { title: 'Undo', run: () => void takeBack(site, ids) });
  return null;
} // prettier-ignore

async function takeBack(site: Id, ids: readonly Id[]): Promise<void> {
  say((await send(undoCommands(ids, { site, at: now(), id: () => device.id() }))) ?? 'Undone.');
}

/** Sends commands of one batch; gives why they were not taken. */
async function send(commands: readonly AnyCommand[]): Promise<string | null> {
  try {
    const { answers } = await api.send(commands);
    const refused = answers.find(({ status }) => status === 'refused');
    return refused?.status === 'refused' ? refused.message : null;
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    return error.status === 0
      ? 'The server cannot be reached, so nothing was taken. What you chose is still here: try again.'
      : error.message;
  }
}
