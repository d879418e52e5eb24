import { listedForDivision } from '../../hazard/division';
import { levelOfCategory, levelOfConcept, type Level } from '../../hazard/level';
import type { Certificate } from '../../record/types';
import { withoutHazard } from '../area-words';
import { classified, type AreaHazard } from '../classified';
import { isIntrinsicBox } from '../../kinds/compartment';
import { type Check, type None, saying } from '../check';
import type { Context } from '../dossier';
import type { Aspect } from '../../record/finding';

type OfLevel = { inZone?: string; has: string; accepted: string; from: string; dust: boolean };
type OfZone = {
  inZone?: string;
  has: string;
  accepted: string;
  from: string;
  dust: boolean;
  inClass?: string;
  inDivision?: number;
  inGroup?: string;
};

/** What it says, and the facts of each. */
type Says = {
  'e06.none-asked': { concept: string; has?: string; enclosure?: string };
  'e01.no-certificate': None;
  'e02.listed': {
    listedClass: string;
    listedDivision: number;
    inClass?: string;
    inDivision?: number;
    inGroup?: string;
  };
  'e02.no-level': OfLevel;
  'e02.suits': OfZone;
  'e02.other-hazard': OfLevel;
  'e02.not-suited': OfZone;
};
const { conforms, fails, unread, notApplicable } = saying<Says>();

/** The device's level suits the zone, or its listing the division; where no level is marked, it follows from category or concept. */
export const e02: Check = {
  id: 'E-02',
  kinds: ({ wall }) => wall === 'enclosure',
  basis: {
    'iec-2013': 'IEC 60079-14:2013, 5.3 and 5.4',
    divisions: 'NFPA 70, 500.5 and 500.8, as commonly applied',
    certificate: true,
  },
  grade: 'visual',
  hazard: 'explosion',
  place: null,
  consequence: () => 3,
  run(context) {
    const { site, area } = context;
    const where = classified(site, area);
    const none = withoutHazard(where, area);
    if (none || where.is !== 'classified') return [none!];
    return where.hazards.map((hazard) => suits(context, hazard));
  },
};

function suits(context: Context, hazard: AreaHazard): Aspect {
  const { certificate, enclosure } = context;
  if (isIntrinsicBox(context, hazard.dust))
    return notApplicable('e06.none-asked', { concept: enclosure.concepts.join(', ') });
  if (!certificate) return unread('e01.no-certificate', {}, 'settle.certificate');
  const { named } = hazard;
  const listed =
    hazard.division && certificate.divisions.find((one) => listedForDivision(one, hazard.division!));
  if (listed) {
    return conforms('e02.listed', { ...named, listedClass: listed.class, listedDivision: listed.division });
  }
  const { levels, from } = levelsOf(certificate);
  const facts = {
    ...named,
    has: levels.join(', '),
    accepted: hazard.levels.join(', '),
    from,
    dust: hazard.dust,
  };
  if (levels.length === 0) return unread('e02.no-level', facts, 'settle.certificate');
  if (levels.some((level) => hazard.levels.includes(level))) return conforms('e02.suits', facts);
  const otherFamily = levels.every((level) => (level[0] === 'D') !== hazard.dust);
  return fails(otherFamily ? 'e02.other-hazard' : 'e02.not-suited', facts);
}

/** Levels of a device: as marked, else from its category, else from its kinds of protection. */
export function levelsOf(marked: Pick<Certificate, 'levels' | 'concepts'> & { categories?: string[] }): {
  levels: readonly Level[];
  from: 'marked' | 'category' | 'concept';
} {
  if (marked.levels.length > 0) return { levels: marked.levels, from: 'marked' };
  const byCategory = (marked.categories ?? []).flatMap((category) => levelOfCategory(category) ?? []);
  if (byCategory.length > 0) return { levels: byCategory, from: 'category' };
  return { levels: marked.concepts.flatMap((concept) => levelOfConcept(concept) ?? []), from: 'concept' };
}
