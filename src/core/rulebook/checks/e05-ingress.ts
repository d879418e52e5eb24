import { isOwnConcept, speaksOf } from '../../hazard/concept';
import { ingressAtLeast, ingressOfConcept, parseIngress } from '../../hazard/ingress';
import { classified, type AreaHazard } from '../classified';
import { blank, type Check, type None, saying } from '../check';
import type { Context } from '../dossier';
import type { Aspect, Facts } from '../../record/finding';

/** What it says, and the facts of each. */
type Says = {
  'e01.no-certificate': None;
  'e05.unreadable': { rating: string };
  'e05.too-low': { has: string | null; asked: string; by?: string; type?: string };
  'e05.enough': { has: string | null; area: string | null; marked: string | null };
  'e05.type-unknown': { type: string; tag: string };
};
const { conforms, fails, unread } = saying<Says>();

/** The ingress ratings meet what the area, the concept and the enclosure's own marking ask for, each for itself. */
export const e05: Check = {
  id: 'E-05',
  kinds: ({ wall }) => wall === 'enclosure',
  basis: { 'iec-2013': 'IEC 60079-14:2013, 10.2; IEC 60079-0', certificate: true },
  grade: 'visual',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run(context) {
    const { site, area, certificate, enclosure } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    if (certificate.ingress === null) return [blank('ingress-rating', certificate.number, 'settle.certificate')]; // prettier-ignore
    const has = parseIngress(certificate.ingress);
    if (!has) return [unread('e05.unreadable', { rating: certificate.ingress }, 'settle.certificate')];
    const aspects: Aspect[] = [];
    const hold: Hold = (by, rating) => {
      if (rating === null) return;
      const need = parseIngress(rating);
      if (!need) aspects.push(unread('e05.unreadable', { rating }, 'settle.area'));
      else if (!ingressAtLeast(has, need)) {
        aspects.push(fails('e05.too-low', { has: certificate.ingress, asked: rating, ...by }));
      }
    };
    const derating = deratingOf(enclosure);
    const marked = derating?.ingress ?? enclosure.ingress;
    if (area.ingressNeed === null) aspects.push(blank('ingress-asked-for', area.name, 'settle.area'));
    if (marked === null) aspects.push(blank('ingress-rating', enclosure.tag, 'settle.enclosure'));
    hold({ by: 'area' }, area.ingressNeed);
    hold({ by: derating ? 'derating' : 'marking' }, marked);
    const where = classified(site, area);
    for (const hazard of where.is === 'classified' ? where.hazards : []) byConcepts(enclosure, hazard, hold);
    if (site.scheme === 'divisions' && enclosure.type !== null) aspects.push(...byType(context, hold));
    if (aspects.length > 0) return aspects;
    return [conforms('e05.enough', { has: certificate.ingress, area: area.ingressNeed, marked })];
  },
};

/** A derating counts only with its reason. */
export const deratingOf = ({ derating }: Context['enclosure']) =>
  derating && derating.reason.trim() !== '' ? derating : null;

type Hold = (by: Facts, rating: string | null) => void;

function byConcepts(enclosure: Context['enclosure'], { dust, group }: AreaHazard, hold: Hold): void {
  for (const concept of enclosure.concepts) {
    if (!isOwnConcept(concept) || !speaksOf(concept, dust)) continue;
    hold({ by: 'concept', concept }, ingressOfConcept(concept, group));
  }
}

/** The enclosure's type by the site's own table, which is read from type to rating and never back. */
function byType({ site, enclosure }: Context, hold: Hold): Aspect[] {
  const type = enclosure.type!;
  const listed = site.enclosureTypes.find((one) => one.type === type);
  if (!listed) return [unread('e05.type-unknown', { type, tag: enclosure.tag }, 'settle.types')];
  hold({ by: 'type', type }, listed.ingress);
  return [];
}
