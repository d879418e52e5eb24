import { conceptSuits } from '../../hazard/concept';
import { classified } from '../classified';
import { fails, notApplicable, unread, type Check } from '../check';
import { isFlameproof, type Context } from '../dossier';
import type { Aspect } from '../finding';
import { answerTo, judgeLook } from '../look';

/** Entries that no cable uses are closed with suitable plugs; asked once per enclosure. */
export const e10: Check = {
  id: 'E-10',
  title: 'Unused entries',
  grade: 'visual',
  hazard: 'explosion',
  place: 'unused-entries',
  consequence: (context) => (isFlameproof(context) ? 4 : 3),
  run(context) {
    const { enclosure, askedAt } = context;
    if (askedAt) return [notApplicable('e10.elsewhere', { tag: enclosure.tag, label: askedAt.label })];
    const look = judgeLook(context, 'unused-entries');
    const { unused } = enclosure;
    if (unused === null) return [look, unread('e10.unknown', { tag: enclosure.tag }, 'settle.unused')];
    if (unused.length > 0 && answerTo(context, 'unused-entries') === 'none') {
      return [unread('e10.contradiction', { tag: enclosure.tag, count: unused.length }, 'settle.unused')];
    }
    const faults = unused.flatMap((entry) => faultsOf(context, entry));
    return faults.length > 0 ? [...faults, look] : [look];
  },
};

function faultsOf(
  { site, area, enclosure }: Context,
  { label, closure, needsTool, inAdaptor, concepts }: NonNullable<Context['enclosure']['unused']>[number],
): Aspect[] {
  const facts = { label, tag: enclosure.tag };
  if (closure === 'none') return [fails('e10.open', facts)];
  if (closure === 'transport-plug') return [fails('e10.transport', facts)];
  const aspects: Aspect[] = [];
  if (!needsTool) aspects.push(fails('e10.no-tool', facts));
  if (inAdaptor) aspects.push(fails('e10.in-adaptor', facts));
  const where = classified(site, area);
  const dust = where.is === 'classified' && where.dust;
  for (const concept of enclosure.concepts) {
    const answer = conceptSuits(concept, concepts, dust, false);
    if (answer.suits === false) {
      aspects.push(fails('e10.concept', { ...facts, concept, has: concepts.join(', ') || 'no protection' }));
    }
  }
  return aspects;
}
