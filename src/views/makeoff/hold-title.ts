import type { Hold } from '../../core/makeoff/plan';
import { isTestHold, testTitle } from '../../core/kinds/steps';
import { placeOf } from '../../core/kinds/kinds';
import { askedLooks } from '../../core/rulebook/asked';
import type { Dossier } from '../../core/rulebook/dossier';

/** What a hold point is called. */
export function holdTitle(dossier: Dossier, { id, is }: Hold): string {
  if (is === 'test' && isTestHold(id)) return testTitle(id);
  if (is === 'place') return placeOf(dossier.entry.kind, id)!.title;
  return askedLooks(dossier).find((look) => look.id === id)?.title ?? id;
}
