import { levelOfConcept, levelsForZone, isDust, type Level } from '../../hazard/level';
import { conforms, fails, notApplicable, unread, type Check } from '../check';

/** The device's level suits the zone; where none is marked, it follows from the concept. */
export const e02: Check = {
  id: 'E-02',
  title: 'Level suits the zone',
  grade: 'visual',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run({ area, certificate }) {
    if (area.zone === null) return [unread('area.no-zone', { area: area.name }, 'settle.area')];
    if (area.zone === 'unclassified') return [notApplicable('area.unclassified', { area: area.name })];
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    const marked = certificate.levels.length > 0;
    const levels = marked ? certificate.levels : impliedLevels(certificate.concepts);
    const accepted = levelsForZone(area.zone);
    const facts = {
      zone: area.zone,
      has: levels.join(', '),
      accepted: accepted.join(', '),
      implied: !marked,
      dust: isDust(area.zone),
    };
    if (levels.length === 0) return [unread('e02.no-level', facts, 'settle.certificate')];
    return levels.some((level) => accepted.includes(level))
      ? [conforms('e02.suits', facts)]
      : [fails('e02.not-suited', facts)];
  },
};

const impliedLevels = (concepts: readonly string[]): Level[] =>
  concepts.flatMap((concept) => levelOfConcept(concept) ?? []);
