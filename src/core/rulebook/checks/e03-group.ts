import { groupOfDivision, listedForDivision } from '../../hazard/division';
import { groupCovers } from '../../hazard/group';
import { classified } from '../classified';
import { conforms, fails, notApplicable, unread, type Check } from '../check';

/** The device's gas or dust group covers what the area asks for. */
export const e03: Check = {
  id: 'E-03',
  title: 'Group',
  grade: 'close',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run({ site, area, certificate }) {
    const where = classified(site, area);
    if (where.is === 'unclassified') return [notApplicable('area.unclassified', { area: area.name })];
    const division = site.scheme === 'divisions' ? area.division : null;
    const asked = division ? groupOfDivision(division) : area.group;
    if (asked === null || where.is === 'missing') {
      return [unread('area.no-group', { area: area.name }, 'settle.area')];
    }
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    if (division) {
      const listed = certificate.divisions.find(
        (one) => listedForDivision(one, division) && one.groups.includes(division.group),
      );
      if (listed) {
        return [conforms('e03.listed', { has: listed.groups.join(', '), asked: division.group })];
      }
    }
    const flameproof = certificate.concepts.some((concept) => concept[0] === 'd');
    const facts = { has: certificate.groups.join(', '), asked };
    if (certificate.groups.length === 0) return [unread('e03.none-marked', facts, 'settle.certificate')];
    return certificate.groups.some((group) => groupCovers(group, asked, flameproof))
      ? [conforms('e03.covered', facts)]
      : [fails('e03.not-covered', facts)];
  },
};
