import { placeRow } from '../kinds/kinds';
import type { ValueTask } from '../kinds/situation';
import type { Dossier } from './dossier';

/** What a place of single values is held against; null where sheet and certificate do not say, or for another place. */
export function valueTaskOf(dossier: Dossier, place: string): ValueTask | null {
  const task = placeRow(dossier.entry.kind, place)?.value?.(dossier);
  return task ? { place, ...task } : null;
}
