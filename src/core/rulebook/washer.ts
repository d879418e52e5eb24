import { threadOf } from '../gland/thread-table';
import { ingressAtLeast, parseIngress } from '../hazard/ingress';
import { below } from '../quantity/compare';
import type { Entry, GlandSize } from '../record/types';
import type { Dossier } from './dossier';
import { THIN_WALL_MM, WASHER_ABOVE } from './limits';

/** A taper thread in a threaded hole seals in itself. */
export const sealsItself = ({ thread }: Pick<GlandSize, 'thread'>, { hole }: Pick<Entry, 'hole'>): boolean =>
  hole.form === 'threaded' && thread !== null && threadOf(thread)?.smallEndMm != null;

/** What asks for a washer, in words with numbers. */
export function washerReasons({
  size,
  entry,
  enclosure,
  area,
}: Pick<Dossier, 'size' | 'entry' | 'enclosure' | 'area'>): string[] {
  const found: string[] = [];
  if (size!.washerMm !== null && size!.washerMm > 0) found.push(`the sheet asks for ${size!.washerMm} mm`);
  if (entry.hole.form === 'clearance') found.push('the hole is a clearance hole');
  if (sealsItself(size!, entry)) return found;
  if (enclosure.wallMm !== null && below(enclosure.wallMm, THIN_WALL_MM)) {
    found.push(`the wall of ${enclosure.wallMm} mm is under ${THIN_WALL_MM} mm`);
  }
  for (const [rating, by] of [
    [enclosure.derating?.ingress ?? enclosure.ingress, 'the enclosure'],
    [area.ingressNeed, 'the area'],
  ] as const) {
    const need = rating === null ? null : parseIngress(rating);
    const limit = parseIngress(WASHER_ABOVE)!;
    if (need && !ingressAtLeast(limit, need)) found.push(`${rating} of ${by} is above ${WASHER_ABOVE}`);
  }
  return found;
}
