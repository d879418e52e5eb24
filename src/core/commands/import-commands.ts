import type { Id } from '../record/types';
import type { Command, ImportItem } from './commands';

/** Records that one command of an import carries. Chosen: what is written in a moment, between the commands of others. */
const MOST_ITEMS = 500;

/**
 * An import as commands of one batch: taken as one, refused as one, and undone as one.
 *
 * @param items in the order in which they refer to each other
 * @param id makes an id, each greater than the one before
 */
export function importCommands(
  items: readonly ImportItem[],
  { site, source, at, id }: { site: Id; source: string; at: string; id: () => Id },
): Command<'dossier.import'>[] {
  const batch = id();
  const commands: Command<'dossier.import'>[] = [];
  for (let from = 0; from < items.length; from += MOST_ITEMS) {
    const payload = { source, items: items.slice(from, from + MOST_ITEMS) };
    commands.push({ id: id(), kind: 'dossier.import', site, at, batch, payload });
  }
  return commands;
}

/** What takes a batch back: each of its commands, the last first. */
export function undoCommands(
  commands: readonly Id[],
  { site, at, id }: { site: Id; at: string; id: () => Id },
): Command<'undo'>[] {
  const batch = id();
  return [...commands]
    .reverse()
    .map((command) => ({ id: id(), kind: 'undo', site, at, batch, payload: { command } }));
}
