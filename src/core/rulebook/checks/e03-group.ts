import { groupCovers } from '../../hazard/group';
import { conforms, fails, notApplicable, unread, type Check } from '../check';

/** The device's gas or dust group covers what the area asks for. */
export const e03: Check = {
  id: 'E-03',
  title: 'Group',
  grade: 'close',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run({ area, certificate }) {
    if (area.zone === 'unclassified') return [notApplicable('area.unclassified', { area: area.name })];
    if (area.group === null) return [unread('area.no-group', { area: area.name }, 'settle.area')];
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    const flameproof = certificate.concepts.some((concept) => concept[0] === 'd');
    const asked = area.group;
    const facts = { has: certificate.groups.join(', '), asked };
    if (certificate.groups.length === 0) return [unread('e03.none-marked', facts, 'settle.certificate')];
    return certificate.groups.some((group) => groupCovers(group, asked, flameproof))
      ? [conforms('e03.covered', facts)]
      : [fails('e03.not-covered', facts)];
  },
};
