import { classified } from '../classified';
import { conforms, fails, unread, type Check } from '../check';
import { kindOf, type Context } from '../dossier';
import type { Aspect } from '../finding';
import { judgeLook } from '../look';

/** The device is what the dossier says, and a certificate on file covers it. */
export const e01: Check = {
  id: 'E-01',
  title: 'Identified and certified',
  grade: 'visual',
  hazard: 'explosion',
  place: 'marking',
  consequence: () => 3,
  run(context) {
    const { certificate, entry, size } = context;
    const look = judgeLook(context, 'marking');
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate'), look];
    const facts = { certificate: certificate.number, size: entry.size };
    // A transit in a wall carries the approval that the wall asks for, and has no size.
    const approval = kindOf(context).transit !== null;
    const uncertified = approval ? null : ordinary(context);
    if (uncertified) return [uncertified, look];
    if (certificate.state !== 'valid') {
      return [fails('e01.not-valid', { ...facts, state: certificate.state }), look];
    }
    if (certificate.kind !== entry.kind) {
      return [fails('e01.other-kind', { ...facts, covers: certificate.kind, kind: entry.kind }), look];
    }
    if (approval) return [conforms('e01.approved', facts), look];
    if (entry.size === null) return [unread('e01.no-size', facts, 'settle.size'), look];
    if (!size) return [fails('e01.size-not-listed', facts), look];
    return [conforms(certificate.concepts.length > 0 ? 'e01.covered' : 'e01.sheet', facts), look];
  },
};

/** A gland without any protection on its sheet may stand only where nothing is classified. */
function ordinary({ site, area, entry, certificate }: Context): Aspect | null {
  if (certificate!.concepts.length > 0) return null;
  const where = classified(site, area);
  if (where.is === 'unclassified') return null;
  const facts = { certificate: certificate!.number, area: area.name };
  if (where.is === 'missing') return unread('area.no-zone', facts, 'settle.area');
  const key = kindOf({ entry }).certified ? 'e01.no-concept' : 'e01.industrial';
  return fails(key, { ...facts, said: where.said });
}
