import { withoutHazard } from '../area-words';
import { classified } from '../classified';
import { type Check, type None, saying } from '../check';
import { isFlameproof, kindOf, type Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { suitsEnclosure, type SaysOfSuits, type Suits } from '../suits';

/** What it says, and the facts of each. */
type Says = SaysOfSuits<'e06'> & {
  'e01.no-certificate': None;
  't.no-frame': None;
  'e06.building-wall': { where: string; tag: string };
};
const { conforms, fails, unread, notApplicable } = saying<Says>();

/** The protection of gland or transit suits that of the enclosure, in the compartment that the entry opens into. */
export const e06: Check = {
  id: 'E-06',
  kinds: () => true,
  basis: { 'iec-2013': 'IEC 60079-14:2013, 10.2 to 10.6', certificate: true },
  grade: 'visual',
  hazard: 'explosion',
  place: null,
  consequence: (context) => (isFlameproof(context) || kindOf(context).pot === 'compound' ? 4 : 3),
  run(context) {
    const { site, area, certificate } = context;
    const where = classified(site, area);
    const none = withoutHazard(where, area) ?? inBuildingWall(context);
    if (none || where.is !== 'classified') return [none!];
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    const aspects: Aspect[] = [];
    for (const hazard of where.hazards) {
      for (const answer of suitsEnclosure(context, certificate, hazard)) aspects.push(aspectOf(answer));
    }
    return aspects;
  },
};

/** A transit that stands in a wall or deck of a building, and in no enclosure. */
function inBuildingWall(context: Context): Aspect | null {
  const { enclosure, entry } = context;
  const { transit, certified } = kindOf(context);
  if (!transit || enclosure.concepts.length > 0) return null;
  const own = kindOf(context).wall === 'enclosure';
  if (own || !certified) return null;
  if (!entry.frame) return unread('t.no-frame', {}, 'settle.frame');
  return notApplicable('e06.building-wall', { where: entry.frame.where, tag: enclosure.tag });
}

const SETTLE: Partial<Record<Suits['is'], string>> = {
  compartment: 'settle.compartment',
  'circuits-unknown': 'settle.circuits',
  'sealing-unknown': 'settle.certificate',
};

function aspectOf({ outcome, is, facts }: Suits): Aspect {
  const key = `e06.${is}` as const;
  if (outcome === 'conforms') return conforms(key, facts);
  if (outcome === 'fails') return fails(key, facts);
  if (outcome === 'not-applicable') return notApplicable(key, facts);
  return unread(key, facts, SETTLE[is] ?? 'settle.enclosure');
}
