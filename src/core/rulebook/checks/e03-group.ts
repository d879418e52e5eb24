import { listedForDivision } from '../../hazard/division';
import { groupCovers, needsLetter } from '../../hazard/group';
import { withoutHazard } from '../area-words';
import { classified, type AreaHazard } from '../classified';
import { isIntrinsicBox } from '../../kinds/compartment';
import { type Check, type None, saying } from '../check';
import type { Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { levelsOf } from './e02-level';

/** What it says, and the facts of each. */
type Says = {
  'e06.none-asked': { concept: string; has?: string; enclosure?: string };
  'area.no-group': { area: string };
  'e01.no-certificate': None;
  'e03.listed': { has: string; asked: string };
  'e03.not-listed': { has: string; asked: string };
  'e03.none-marked': { has: string; asked: string };
  'e03.covered': { has: string; asked: string };
  'e03.not-covered': { has: string; asked: string };
};
const { conforms, fails, unread, notApplicable } = saying<Says>();

/** The device's gas or dust group covers what the area asks for. */
export const e03: Check = {
  id: 'E-03',
  kinds: ({ wall }) => wall === 'enclosure',
  basis: {
    'iec-2013': 'IEC 60079-14:2013, 5.5',
    divisions: 'NFPA 70, 500.6, as commonly applied',
    certificate: true,
  },
  grade: 'close',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run(context) {
    const { site, area } = context;
    const where = classified(site, area);
    const none = withoutHazard(where, area);
    if (none || where.is !== 'classified') return [none!];
    return where.hazards.map((hazard) => covers(context, hazard));
  },
};

function covers(context: Context, { dust, group, division, levels }: AreaHazard): Aspect {
  const { area, certificate, enclosure } = context;
  if (isIntrinsicBox(context, dust))
    return notApplicable('e06.none-asked', { concept: enclosure.concepts.join(', ') });
  if (group === null) return unread('area.no-group', { area: area.name }, 'settle.area');
  if (!certificate) return unread('e01.no-certificate', {}, 'settle.certificate');
  const has = certificate.groups.join(', ');
  if (division) {
    const listed = certificate.divisions.find(
      (one) => listedForDivision(one, division) && one.groups.includes(division.group),
    );
    if (listed) return conforms('e03.listed', { has: listed.groups.join(', '), asked: division.group });
    // A zone marking stands for a listing only where its level does.
    if (!levelsOf(certificate).levels.some((level) => levels.includes(level))) {
      const listing = certificate.divisions.map((one) => one.groups.join(', ')).join('; ');
      return fails('e03.not-listed', { has: listing || 'no group', asked: division.group });
    }
  }
  if (certificate.groups.length === 0)
    return unread('e03.none-marked', { has, asked: group }, 'settle.certificate');
  const lettered = needsLetter(certificate.concepts);
  return certificate.groups.some((marked) => groupCovers(marked, group, lettered))
    ? conforms('e03.covered', { has, asked: group })
    : fails('e03.not-covered', { has, asked: group });
}
