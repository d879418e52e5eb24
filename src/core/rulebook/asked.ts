import { looksOf, placesOf, type LookQuestion, type Place, type Step } from '../record/kinds';
import { TEST_HOLDS } from '../record/kinds/steps';
import { isFlameproof, kindOf, type Dossier } from './dossier';

/** Number of cores of the cable; null without a record. */
export const coreCount = ({ cable }: Pick<Dossier, 'cable'>): number | null =>
  cable && cable.cores.reduce((sum, { count }) => sum + count, 0);

/** Where a place is asked for, or left out, by the size, the certificate and the enclosure. */
function wantedAt(dossier: Dossier, { id, wanted }: Place): number {
  const { size, certificate } = dossier;
  if (id === 'back-nut-gap' && size && !size.backNut) return 0;
  if (id === 'inner-sheath' && size && !size.inner) return 0;
  if (id === 'inner-proud' && size && size.innerProudMm === null) return 0;
  if (id === 'armour-length' && size && size.armourLengthMm === null) return 0;
  if (id === 'thread-engagement' && !isFlameproof(dossier)) return 0;
  if (id === 'support-distance' && certificate?.reducedRetention) return 1;
  return wanted;
}

/** Places of an entry, with how many readings each asks for here. */
export function askedPlaces(dossier: Dossier): Place[] {
  return placesOf(dossier.entry.kind, dossier.certificate?.sheet ?? null).map((place) => {
    const wanted = wantedAt(dossier, place);
    return wanted === place.wanted ? place : { ...place, wanted };
  });
}

/** Looks of an entry: the kind's, its joints' and its special conditions', without those that cannot apply. */
export function askedLooks(dossier: Dossier): LookQuestion[] {
  const cores = coreCount(dossier);
  return looksOf(dossier.entry.kind, dossier.certificate).filter(({ id }) => {
    if (id === 'unused-entries') return dossier.askedAt === null;
    if (id === 'single-core') return cores === null || cores === 1;
    if (id === 'drain-wire') return dossier.cable?.mineral?.screened !== false;
    if (id === 'bond-path') return kindOf(dossier).checks.includes('E-23b');
    return true;
  });
}

/** Make-off steps of an entry that there is something to do at. */
export function stepsOf(dossier: Dossier): Step[] {
  const { size, certificate } = dossier;
  return kindOf(dossier).steps.filter(({ id }) => {
    if (id === 'shroud') return certificate?.sheet.shroud !== 'none';
    if (id === 'inner-seal') return size === null || size.inner !== null;
    if (id === 'drain') return dossier.cable?.mineral?.screened !== false;
    return true;
  });
}

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
