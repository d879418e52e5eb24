import { listedForDivision } from '../../hazard/division';
import { levelOfConcept, type Level } from '../../hazard/level';
import { classified } from '../classified';
import { conforms, fails, notApplicable, unread, type Check } from '../check';

/** The device's level suits the zone, or its listing the division; where no level is marked, it follows from the concept. */
export const e02: Check = {
  id: 'E-02',
  title: 'Level suits the zone',
  grade: 'visual',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run({ site, area, certificate }) {
    const where = classified(site, area);
    if (where.is === 'missing') return [unread('area.no-zone', { area: area.name }, 'settle.area')];
    if (where.is === 'unclassified') return [notApplicable('area.unclassified', { area: area.name })];
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    const { division } = area;
    if (site.scheme === 'divisions' && division) {
      const listed = certificate.divisions.find((one) => listedForDivision(one, division));
      if (listed) {
        const has = `Class ${listed.class}, Division ${listed.division}`;
        return [conforms('e02.listed', { said: where.said, has })];
      }
    }
    const marked = certificate.levels.length > 0;
    const levels = marked ? certificate.levels : impliedLevels(certificate.concepts);
    const facts = {
      said: where.said,
      has: levels.join(', '),
      accepted: where.levels.join(', '),
      implied: !marked,
      dust: where.dust,
    };
    if (levels.length === 0) return [unread('e02.no-level', facts, 'settle.certificate')];
    if (levels.some((level) => where.levels.includes(level))) return [conforms('e02.suits', facts)];
    const otherFamily = levels.every((level) => (level[0] === 'D') !== where.dust);
    return [fails(otherFamily ? 'e02.other-hazard' : 'e02.not-suited', facts)];
  },
};

const impliedLevels = (concepts: readonly string[]): Level[] =>
  concepts.flatMap((concept) => levelOfConcept(concept) ?? []);
