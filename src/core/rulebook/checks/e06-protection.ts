import { conceptSuits } from '../../hazard/concept';
import { classified } from '../classified';
import { conforms, fails, notApplicable, unread, type Check } from '../check';
import { isFlameproof } from '../dossier';
import type { Aspect } from '../finding';

/** The gland's protection suits each concept of the enclosure. */
export const e06: Check = {
  id: 'E-06',
  title: 'Protection against enclosure',
  grade: 'visual',
  hazard: 'explosion',
  place: null,
  consequence: (context) => (isFlameproof(context) ? 4 : 3),
  run({ site, area, certificate, enclosure }) {
    const where = classified(site, area);
    const { concepts } = enclosure;
    if (concepts.length === 0 && where.is === 'unclassified') {
      return [notApplicable('area.unclassified', { area: area.name })];
    }
    if (concepts.length === 0) {
      return [unread('e06.enclosure-unmarked', { enclosure: enclosure.tag }, 'settle.enclosure')];
    }
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    if (certificate.concepts.length === 0) {
      return [unread('e06.none-marked', { certificate: certificate.number }, 'settle.certificate')];
    }
    const dust = where.is === 'classified' && where.dust;
    const has = certificate.concepts.join(', ');
    return concepts.map((concept): Aspect => {
      const answer = conceptSuits(concept, certificate.concepts, dust, certificate.sealing);
      if (answer.suits === 'none-asked') return notApplicable('e06.none-asked', { concept });
      if (answer.suits === 'enclosure-certificate') {
        return unread('e06.enclosure-certificate', { concept }, 'settle.enclosure');
      }
      if (answer.suits) return conforms('e06.suits', { concept, has, by: answer.concept });
      return fails('e06.not-suited', { concept, has, allowed: answer.allowed.join(', ') });
    });
  },
};
