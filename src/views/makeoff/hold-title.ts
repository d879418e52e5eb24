import type { Hold } from '../../core/makeoff/plan';
import { placeOf } from '../../core/kinds/kinds';
import { askedLooks } from '../../core/rulebook/asked';
import type { Dossier } from '../../core/rulebook/dossier';
import { titleOf } from '../../core/words/en/kinds/titles';

/** What a hold point is called. */
export function holdTitle(dossier: Dossier, { id, is }: Hold): string {
  const place = is === 'place' ? placeOf(dossier.entry.kind, id) : null;
  return titleOf(place ?? askedLooks(dossier).find((look) => look.id === id) ?? { words: id });
}
