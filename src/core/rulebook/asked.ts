import { looksOf, placesOf } from '../kinds/kinds';
import type { LookQuestion } from '../kinds/look';
import type { Place } from '../kinds/place';
import type { Step } from '../kinds/steps';
import { TEST_HOLDS } from '../kinds/steps';
import { kindOf, type Dossier } from './dossier';

/** Places of an entry, with how many readings each asks for here. */
export function askedPlaces(dossier: Dossier): Place[] {
  return placesOf(dossier.entry.kind, dossier.certificate?.sheet ?? null).map((place) => {
    const wanted = place.wantedIn?.(dossier) ?? place.wanted;
    return wanted === place.wanted ? place : { ...place, wanted };
  });
}

/** Looks of an entry: the kind's, its joints' and its special conditions', without those that cannot apply. */
export const askedLooks = (dossier: Dossier): LookQuestion[] =>
  looksOf(dossier.entry.kind, dossier.certificate).filter(({ asked }) => asked?.(dossier) ?? true);

/** Make-off steps of an entry that there is something to do at. */
export const stepsOf = (dossier: Dossier): Step[] =>
  kindOf(dossier).steps.filter(({ asked }) => asked?.(dossier) ?? true);

/** Hold points of an entry's make-off that apply to it: places and looks, each once, in the order of the steps. */
export function holdsOf(dossier: Dossier): string[] {
  const asked = new Set<string>([
    ...askedPlaces(dossier).flatMap(({ id, wanted }) => (wanted > 0 ? id : [])),
    ...askedLooks(dossier).map(({ id }) => id),
    ...TEST_HOLDS,
  ]);
  const holds = stepsOf(dossier).flatMap(({ hold }) => (hold !== null && asked.has(hold) ? hold : []));
  return [...new Set(holds)];
}
