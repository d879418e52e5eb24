import { conceptSuits } from '../../hazard/concept';
import { isDust } from '../../hazard/level';
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
  run({ area, certificate, enclosure }) {
    if (enclosure.concepts.length === 0) {
      return [unread('e06.enclosure-unmarked', { enclosure: enclosure.tag }, 'settle.enclosure')];
    }
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    const dust = area.zone !== null && area.zone !== 'unclassified' && isDust(area.zone);
    const has = certificate.concepts.join(', ');
    return enclosure.concepts.map((concept): Aspect => {
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
