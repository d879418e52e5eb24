import { ingressAtLeast, ingressOfConcept, parseIngress } from '../../hazard/ingress';
import { conforms, fails, unread, type Check } from '../check';
import type { Aspect } from '../finding';

/** The ingress rating is at least what the area, the concept and the enclosure's own marking ask for. */
export const e05: Check = {
  id: 'E-05',
  title: 'Ingress rating',
  grade: 'visual',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run({ area, certificate, enclosure }) {
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    const has = parseIngress(certificate.ingress);
    if (!has) return [unread('e05.unreadable', { rating: certificate.ingress }, 'settle.certificate')];
    const aspects: Aspect[] = [];
    const hold = (by: string, rating: string | null) => {
      if (rating === null) return;
      const need = parseIngress(rating);
      if (!need) aspects.push(unread('e05.unreadable', { rating }, 'settle.area'));
      else if (!ingressAtLeast(has, need)) {
        aspects.push(fails('e05.too-low', { has: certificate.ingress, asked: rating, by }));
      }
    };
    const marked = enclosure.derating?.ingress ?? enclosure.ingress;
    hold('the area', area.ingressNeed);
    hold(enclosure.derating ? 'the recorded derating' : 'the enclosure’s marking', marked);
    for (const concept of enclosure.concepts)
      hold(`protection ${concept}`, ingressOfConcept(concept, area.group));
    if (aspects.length > 0) return aspects;
    return [conforms('e05.enough', { has: certificate.ingress, area: area.ingressNeed, marked })];
  },
};
