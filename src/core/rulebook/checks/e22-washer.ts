import { threadOf } from '../../gland/thread-table';
import { ingressAtLeast, parseIngress } from '../../hazard/ingress';
import { below } from '../../quantity/compare';
import { conforms, fails, unread, type Check } from '../check';
import type { Context } from '../dossier';
import { THIN_WALL_MM, WASHER_ABOVE } from '../limits';
import { answerTo, judgeLook } from '../look';

/** A sealing washer where the sheet, a thin wall, a clearance hole or a rating above IP54 asks for one. */
export const e22: Check = {
  id: 'E-22',
  title: 'Sealing washer',
  grade: 'visual',
  hazard: 'explosion',
  place: 'washer',
  consequence: () => 2,
  run(context) {
    const look = judgeLook(context, 'washer');
    const answer = answerTo(context, 'washer');
    const { size, certificate, entry } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate'), look];
    if (!size) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size'), look];
    const asked = reasons(context);
    if (answer === 'none' && asked.length > 0) {
      return [fails('e22.missing', { reasons: asked.join('; '), thread: size.thread })];
    }
    if (answer === 'fitted' && entry.washerMm === 0) {
      return [unread('e22.thickness', { thread: size.thread }, 'settle.washer')];
    }
    if (look.outcome !== 'conforms') return [look];
    const facts = { washerMm: entry.washerMm, reasons: asked.join('; ') };
    return [conforms(asked.length > 0 ? 'e22.fitted' : 'e22.none-asked', facts)];
  },
};

/** What asks for a washer, in words with numbers. */
function reasons({ size, entry, enclosure, area }: Context): string[] {
  const thread = threadOf(size!.thread);
  // A taper thread seals in itself.
  const taper = entry.hole.form === 'threaded' && thread?.smallEndMm != null;
  const found: string[] = [];
  if (size!.washerMm > 0) found.push(`the sheet asks for ${size!.washerMm} mm`);
  if (entry.hole.form === 'clearance') found.push('the hole is a clearance hole');
  if (taper) return found;
  if (below(enclosure.wallMm, THIN_WALL_MM)) {
    found.push(`the wall of ${enclosure.wallMm} mm is under ${THIN_WALL_MM} mm`);
  }
  for (const [rating, by] of [
    [enclosure.derating?.ingress ?? enclosure.ingress, 'the enclosure'],
    [area.ingressNeed, 'the area'],
  ] as const) {
    const need = parseIngress(rating);
    const limit = parseIngress(WASHER_ABOVE)!;
    if (need && !ingressAtLeast(limit, need)) found.push(`${rating} of ${by} is above ${WASHER_ABOVE}`);
  }
  return found;
}
