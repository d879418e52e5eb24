import { sealReason, type AreaDivision } from '../../hazard/division';
import { decideBarrier, type BarrierQuestion } from '../../gland/barrier';
import { withoutHazard } from '../area-words';
import { barrierFactsOf } from '../barrier-facts';
import { classified } from '../classified';
import { type Check, saying } from '../check';
import { conceptsHere } from '../../kinds/compartment';
import { isDustProof, isFlameproof, kindOf, type Context } from '../dossier';
import type { Aspect } from '../../record/finding';

type OfSealRules = { division: number; reason: string; tag: string };
type OfBarrier = { edition: string; path: string; tag: string; lengthM: number; volumeDm3: number };

/** What it says, and the facts of each. */
type Says = {
  'e06.enclosure-unmarked': { enclosure: string; against: string };
  'e15.not-flameproof': { concepts: string };
  'e06.compartment': { enclosure: string; against: string; concepts: string };
  'e15.no-seal-asked': OfSealRules;
  'e15.seal-fitted': OfSealRules;
  'e15.seal-missing': OfSealRules;
  'e15.no-raceway': { tag: string; means: string | null };
  'e15.raceway-not-asked': { tag: string; means: string | null };
  'e15.raceway-unknown': { tag: string; means: string | null };
  'e15.raceway-open': { tag: string; means: string | null };
  'e15.raceway': { tag: string; means: string | null };
  'e15.fitted-unasked': { edition: string; missing: string };
  'e15.undecided': { edition: string; missing: string };
  'e15.fitted-anyway': OfBarrier;
  'e15.none-needed': OfBarrier;
  'e15.fitted': OfBarrier;
  'e15.missing': OfBarrier;
};
const { conforms, fails, unread, notApplicable } = saying<Says>();

/** A barrier where the selection rule of the site's school, or the seal rules of a division site, ask for one. */
export const e15: Check = {
  id: 'E-15',
  kinds: ({ transit }) => transit === null,
  basis: {
    'iec-2013': 'IEC 60079-14:2013, 10.6.2',
    'iec-2013-barrier-2007': 'IEC 60079-14:2007, 10.4.2, figure',
    divisions: 'NFPA 70, 501.15, as commonly applied',
  },
  grade: 'close',
  hazard: 'explosion',
  place: null,
  consequence: () => 4,
  run(context) {
    const { site, area, enclosure } = context;
    const where = classified(site, area);
    const none = withoutHazard(where, area);
    if (none || where.is !== 'classified') return [none!];
    // A mineral-insulated end is sealed by its own termination.
    const { pot, mineral } = kindOf(context);
    const fitted = pot !== 'none' || (mineral && where.division !== null);
    if (where.division) return [bySealRules(context, where.division, fitted)];
    if (enclosure.concepts.length === 0) {
      return [
        unread('e06.enclosure-unmarked', { enclosure: enclosure.tag, against: 'gas' }, 'settle.enclosure'),
      ];
    }
    if (!isFlameproof(context)) {
      return [notApplicable('e15.not-flameproof', { concepts: enclosure.concepts.join(', ') })];
    }
    const here = conceptsHere(context, false);
    if (here.is === 'open') {
      const facts = { enclosure: enclosure.tag, concepts: here.concepts.join(', '), against: 'gas' };
      return [unread('e06.compartment', facts, 'settle.compartment')];
    }
    return [byPath(context, fitted)];
  },
};

function bySealRules(context: Context, area: AreaDivision, fitted: boolean): Aspect {
  const { enclosure } = context;
  const { division } = area;
  if (area.class === 'II') return byDustRules(context);
  const reason = sealReason({
    wiring: 'cable',
    division,
    explosionproof: isFlameproof(context),
    ignitionSource: enclosure.ignitionSource ?? true,
    terminals: true,
    tradeSizeIn: 0,
    boundary: false,
  });
  const facts = { division, reason: reason ?? 'none', tag: enclosure.tag };
  if (reason === null) return conforms('e15.no-seal-asked', facts);
  return fitted ? conforms('e15.seal-fitted', facts) : fails('e15.seal-missing', facts);
}

/** Dust asks for no seal round conductors; a raceway between unlike enclosures asks for one means of 502.15. */
function byDustRules({ entry, enclosure }: Context): Aspect {
  const facts = { tag: enclosure.tag, means: entry.raceway?.means ?? null };
  if (!entry.raceway) return notApplicable('e15.no-raceway', facts);
  if (!isDustProof({ entry, enclosure })) return conforms('e15.raceway-not-asked', facts);
  if (entry.raceway.means === null) return unread('e15.raceway-unknown', facts, 'settle.raceway');
  return entry.raceway.means === 'none' ? fails('e15.raceway-open', facts) : conforms('e15.raceway', facts);
}

function byPath(context: Context, fitted: boolean): Aspect {
  const { site, enclosure } = context;
  const known = barrierFactsOf(context);
  const edition = site.barrierSchool;
  if ('missing' in known) {
    const facts = { edition, missing: known.missing.join(', ') };
    // A barrier is never wrong where none is asked for, so it need not wait for the answer.
    if (fitted) return conforms('e15.fitted-unasked', facts);
    return unread('e15.undecided', facts, 'settle.barrier');
  }
  const asked = known.facts;
  const { barrierRequired, path } = decideBarrier(edition, asked);
  const facts = {
    edition,
    path: pathFact(path),
    tag: enclosure.tag,
    lengthM: asked.lengthM,
    volumeDm3: asked.volumeDm3,
  };
  if (!barrierRequired) return conforms(fitted ? 'e15.fitted-anyway' : 'e15.none-needed', facts);
  return fitted ? conforms('e15.fitted', facts) : fails('e15.missing', facts);
}

/** The path as one fact: each question with its answer, in order. */
const pathFact = (path: readonly { question: BarrierQuestion; answer: boolean }[]): string =>
  path.map(({ question, answer }) => `${question}=${answer ? 'yes' : 'no'}`).join(' ');
