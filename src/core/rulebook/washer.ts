import { threadOf } from '../gland/thread-table';
import { ingressAtLeast, parseIngress } from '../hazard/ingress';
import { below } from '../quantity/compare';
import type { Facts } from '../record/finding';
import type { Entry, GlandSize } from '../record/types';
import type { Dossier } from './dossier';
import { THIN_WALL_MM, WASHER_ABOVE } from './limits';

/** A taper thread in a threaded hole seals in itself. */
export const sealsItself = ({ thread }: Pick<GlandSize, 'thread'>, { hole }: Pick<Entry, 'hole'>): boolean =>
  hole.form === 'threaded' && thread !== null && threadOf(thread)?.smallEndMm != null;

/** One thing that asks for a washer. */
export type WasherReason =
  | { why: 'sheet'; sheetMm: number }
  | { why: 'clearance' }
  | { why: 'thin-wall'; wallMm: number }
  | { why: 'enclosure' | 'area'; rating: string };

/** What asks for a washer. */
export function washerReasons({
  size,
  entry,
  enclosure,
  area,
}: Pick<Dossier, 'size' | 'entry' | 'enclosure' | 'area'>): WasherReason[] {
  const found: WasherReason[] = [];
  if (size!.washerMm !== null && size!.washerMm > 0) found.push({ why: 'sheet', sheetMm: size!.washerMm });
  if (entry.hole.form === 'clearance') found.push({ why: 'clearance' });
  if (sealsItself(size!, entry)) return found;
  if (enclosure.wallMm !== null && below(enclosure.wallMm, THIN_WALL_MM)) {
    found.push({ why: 'thin-wall', wallMm: enclosure.wallMm });
  }
  for (const [rating, why] of [
    [enclosure.derating?.ingress ?? enclosure.ingress, 'enclosure'],
    [area.ingressNeed, 'area'],
  ] as const) {
    const need = rating === null ? null : parseIngress(rating);
    const limit = parseIngress(WASHER_ABOVE)!;
    if (need && !ingressAtLeast(limit, need)) found.push({ why, rating: rating! });
  }
  return found;
}

/** What asks for a washer, as facts of a finding. */
export function washerFacts(reasons: readonly WasherReason[]): Facts {
  const facts: Facts = { reasons: reasons.map(({ why }) => why).join(', ') };
  for (const reason of reasons) {
    if (reason.why === 'sheet') facts.sheetMm = reason.sheetMm;
    else if (reason.why === 'thin-wall') facts.wallMm = reason.wallMm;
    else if (reason.why !== 'clearance') facts[`${reason.why}Rating`] = reason.rating;
  }
  return facts;
}
