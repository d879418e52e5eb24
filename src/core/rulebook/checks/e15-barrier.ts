import { sealReason } from '../../hazard/division';
import { decideBarrier, type BarrierQuestion } from '../../gland/barrier';
import { barrierFactsOf } from '../barrier-facts';
import { classified } from '../classified';
import { conforms, fails, notApplicable, unread, type Check } from '../check';
import { isFlameproof, kindOf, type Context } from '../dossier';
import type { Aspect } from '../finding';

/** A barrier where the selection rule of the site's school, or the seal rules of a division site, ask for one. */
export const e15: Check = {
  id: 'E-15',
  title: 'Barrier where one is asked for',
  grade: 'close',
  hazard: 'explosion',
  place: null,
  consequence: () => 4,
  run(context) {
    const { site, area, enclosure } = context;
    const where = classified(site, area);
    if (where.is === 'unclassified') return [notApplicable('area.unclassified', { area: area.name })];
    if (where.is === 'missing') return [unread('area.no-zone', { area: area.name }, 'settle.area')];
    const fitted = kindOf(context).pot !== 'none';
    if (site.scheme === 'divisions') return [bySealRules(context, fitted)];
    if (enclosure.concepts.length === 0) {
      return [unread('e06.enclosure-unmarked', { enclosure: enclosure.tag }, 'settle.enclosure')];
    }
    if (!isFlameproof(context)) {
      return [notApplicable('e15.not-flameproof', { concepts: enclosure.concepts.join(', ') })];
    }
    return [byPath(context, fitted)];
  },
};

function bySealRules(context: Context, fitted: boolean): Aspect {
  const { area, enclosure } = context;
  const { division } = area.division!;
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
    path: said(path),
    tag: enclosure.tag,
    lengthM: asked.lengthM,
    volumeDm3: asked.volumeDm3,
  };
  if (!barrierRequired) return conforms(fitted ? 'e15.fitted-anyway' : 'e15.none-needed', facts);
  return fitted ? conforms('e15.fitted', facts) : fails('e15.missing', facts);
}

function said(path: readonly { question: BarrierQuestion; answer: boolean }[]): string {
  let words = '';
  for (const { question, answer } of path) {
    words += `${words ? ', ' : ''}${QUESTION[question]}: ${answer ? 'yes' : 'no'}`;
  }
  return words;
}

/** A question of the barrier path in a few words. */
export const QUESTION: Record<BarrierQuestion, string> = {
  'certificate-demands': 'certificate asks for one',
  'mineral-insulated': 'mineral insulated',
  'sealing-device': 'sealing device at the entry',
  'indirect-entry': 'indirect entry',
  'class-a': 'compact, effectively filled cable',
  'breathing-test': 'breathing test passed',
  'length-3m': 'connected length 3 m or more',
  'ignition-source': 'ignition source inside',
  'group-iic': 'group IIC',
  'zone-2': 'zone 2',
  'over-2dm3': 'volume over 2 dm³',
};
