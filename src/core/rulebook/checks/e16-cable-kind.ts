import { blank, type Check, type None, saying } from '../check';
import { kindOf, type Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { answerTo, judgeLook } from '../look';
import { breathingOf } from '../breathing-record';

/** What it says, and the facts of each. */
type Says = {
  'cable.none': None;
  'e01.no-certificate': None;
  'e01.no-size': { certificate: string; size?: string | null };
  'e16.suits': { cable: string; shape: string | null; lengthM: number | null };
  'e16.other-area': { cable: string; tag: string; label: string };
  'e16.not-mineral': { cable: string; kind: string };
  'e16.mineral': { cable: string; kind: string };
  'cable.armour-twice': { cable: string; by: string; on: string; type: string };
  'e16.armoured': { cable: string; type: string; sizeMm: number | null; kind: string };
  'e13.armour-unknown': { cable: string };
  'e16.cold-flow': {
    cable: string;
    part: string;
    sheathMm: number | null;
    lowMm: number | null;
    highMm: number | null;
  };
  'e16.breathing-contradicts': { cable: string; halfTimeS: number | null };
  'e16.breathes': { cable: string; halfTimeS: number | null };
  'e16.filling-unknown': { cable: string; halfTimeS: number | null };
  'e16.not-filled': { cable: string; halfTimeS: number | null };
};
const { conforms, fails, unread } = saying<Says>();

/** The cable's kind suits the gland, and nothing travels inside it to another area. */
export const e16: Check = {
  id: 'E-16',
  kinds: ({ transit }) => transit === null,
  basis: { 'iec-2013': 'IEC 60079-14:2013, 9.3, 9.6 and 10.6' },
  grade: 'detailed',
  hazard: 'explosion',
  place: 'inside-cable',
  consequence: () => 3,
  run(context) {
    const look = judgeLook(context, 'inside-cable');
    const { cable, size, certificate } = context;
    if (!cable) return [unread('cable.none', {}, 'settle.cable'), look];
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate'), look];
    if (!size) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size'), look];
    const aspects = [
      ...elsewhere(context),
      ...insulation(context),
      ...armour(context),
      ...coldFlow(context),
      ...filling(context),
    ];
    if (aspects.length === 0) {
      aspects.push(conforms('e16.suits', { cable: cable.tag, shape: cable.shape, lengthM: cable.lengthM }));
    }
    return [...aspects, look];
  },
};

/** "Both ends in one area" cannot be where the dossier ends the same cable in another one. */
function elsewhere(context: Context): Aspect[] {
  if (answerTo(context, 'inside-cable') !== 'same-area') return [];
  const end = context.otherEnds.find(({ area }) => area !== context.area.id);
  if (!end) return [];
  const facts = { cable: context.cable!.tag, tag: end.tag, label: end.label };
  return [unread('e16.other-area', facts, 'settle.inside-cable')];
}

/** A mineral-insulated end drinks moisture in any other gland, and its pot takes no other cable. */
function insulation(context: Context): Aspect[] {
  const { id: kind, mineral } = kindOf(context);
  const { tag: cable, mineral: of, cores, armour: wires } = context.cable!;
  if (mineral && !of) {
    // Of a record without any build-up nobody knows what it is of.
    if (cores.length === 0 && wires === null)
      return [blank('it-is-mineral-insulated', cable, 'settle.cable')];
    return [fails('e16.not-mineral', { cable, kind })];
  }
  return !mineral && of ? [fails('e16.mineral', { cable, kind })] : [];
}

/** A gland without a clamp leaves an armour loose. */
function armour(context: Context): Aspect[] {
  const { cable } = context;
  if (kindOf(context).armour !== 'none') return [];
  if (cable!.armour && cable!.unarmoured) {
    const facts = { cable: cable!.tag, ...cable!.unarmoured, type: cable!.armour.type };
    return [unread('cable.armour-twice', facts, 'settle.cable')];
  }
  if (cable!.armour) {
    const { type, sizeMm } = cable!.armour;
    return [fails('e16.armoured', { cable: cable!.tag, type, sizeMm, kind: kindOf(context).id })];
  }
  if (!cable!.unarmoured) return [unread('e13.armour-unknown', { cable: cable!.tag }, 'settle.cable')];
  return [];
}

/** A sheath that flows cold slackens a seal that squeezes it. */
function coldFlow(context: Context): Aspect[] {
  const { cable, size } = context;
  if (cable!.coldFlow === false) return [];
  const seals = [
    { part: 'outer-seal', seal: size!.outer, sheathMm: cable!.outerMm },
    ...(size!.inner ? [{ part: 'inner-seal', seal: size!.inner, sheathMm: cable!.innerMm }] : []),
  ];
  return seals.flatMap(({ part, seal, sheathMm }) => {
    if (seal.coldFlow === true) return [];
    if (cable!.coldFlow === null) return [blank('sheath-flows-cold', cable!.tag, 'settle.cable')];
    if (seal.coldFlow === null) return [blank(`${part}-cold-flow`, size!.size, 'settle.sheet')];
    const [lowMm, highMm] = seal.rangeMm ?? [null, null];
    return [fails('e16.cold-flow', { cable: cable!.tag, part, sheathMm, lowMm, highMm })];
  });
}

/** An enclosure of restricted breathing asks for a cable that does not breathe. */
function filling({ enclosure, cable, entry }: Context): Aspect[] {
  if (!enclosure.concepts.includes('nR') || kindOf({ entry }).pot !== 'none') return [];
  const breathing = breathingOf(cable!);
  if (breathing === 'contradictory') return [unread('e16.breathing-contradicts', { cable: cable!.tag, halfTimeS: cable!.breathing!.halfTimeS }, 'settle.filling')]; // prettier-ignore
  if (cable!.filling === 'filled' || breathing === 'passed') return [];
  const facts = { cable: cable!.tag, halfTimeS: cable!.breathing?.halfTimeS ?? null };
  if (cable!.breathing) return [fails('e16.breathes', facts)];
  return cable!.filling === null
    ? [unread('e16.filling-unknown', facts, 'settle.filling')]
    : [fails('e16.not-filled', facts)];
}
