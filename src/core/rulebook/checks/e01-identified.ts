import { conforms, fails, unread, type Check } from '../check';
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
    if (certificate.state !== 'valid') {
      return [fails('e01.not-valid', { ...facts, state: certificate.state }), look];
    }
    if (certificate.kind !== entry.kind) {
      return [fails('e01.other-kind', { ...facts, covers: certificate.kind, kind: entry.kind }), look];
    }
    if (entry.size === null) return [unread('e01.no-size', facts, 'settle.size'), look];
    if (!size) return [fails('e01.size-not-listed', facts), look];
    return [conforms('e01.covered', facts), look];
  },
};
