import { looksOf, placesOf, type LookQuestion, type Place, type Step } from '../kinds/kinds';
import { TEST_HOLDS } from '../kinds/steps';
import { jointAnswer, jointSeen } from '../kinds/places';
import { groupsOf, isFlameproof, kindOf, type Dossier } from './dossier';

/** Number of cores of the cable; null where they are not recorded. */
export const coreCount = ({ cable }: Pick<Dossier, 'cable'>): number | null =>
  cable && cable.cores.length > 0 ? cable.cores.reduce((sum, { count }) => sum + count, 0) : null;

/** Where a place is asked for, or left out, by the size, the certificate and the enclosure. */
function wantedAt(dossier: Dossier, { id, wanted }: Place): number {
  const { size, certificate } = dossier;
  if (id === 'back-nut-gap' && size && !size.backNut) return 0;
  if (id === 'inner-sheath' && size && !size.inner) return 0;
  if (id === 'inner-proud' && size && size.innerProudMm === null) return 0;
  if (id === 'armour-length' && size && size.armourLengthMm === null) return 0;
  if (id === 'thread-engagement' && !isFlameproof(dossier)) return 0;
  if (id === 'adaptor-engagement') return isFlameproof(dossier) && dossier.entry.adaptors?.length ? 1 : 0;
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

/** Whether a tape was wrapped round a sheath, and nothing else says whether it is round. */
const wrapped = (dossier: Dossier): boolean =>
  ['outer-sheath', 'inner-sheath'].some((place) => {
    const groups = groupsOf(dossier, place);
    return groups.length > 0 && groups.every(({ method }) => method === 'tape');
  });

/** Whether a joint has to be judged from outside: nobody counts or torques it in this round, no record speaks for it. */
function seenFromOutside(dossier: Dossier, look: string): boolean {
  if (dossier.round?.grade === 'detailed') return false;
  const joint = dossier.certificate?.sheet.joints.find((one) => jointSeen(one.joint) === look);
  return joint !== undefined && groupsOf(dossier, jointAnswer(joint.joint, joint.school)).length === 0;
}

/** Looks of an entry: the kind's, its joints' and its special conditions', without those that cannot apply. */
export function askedLooks(dossier: Dossier): LookQuestion[] {
  const cores = coreCount(dossier);
  return looksOf(dossier.entry.kind, dossier.certificate).filter(({ id }) => {
    if (id === 'unused-entries') return dossier.askedAt === null;
    if (id === 'single-core') return cores === null || cores === 1;
    if (id === 'drain-wire') return dossier.cable?.mineral?.screened !== false;
    if (id === 'flats') return wrapped(dossier);
    if (id === 'thread-taper') return groupsOf(dossier, 'thread-major').length > 0;
    if (id.startsWith('seen-')) return seenFromOutside(dossier, id);
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
