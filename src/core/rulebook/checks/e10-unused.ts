import { threadOf } from '../../gland/thread-table';
import { threadEngagement } from '../../gland/threads';
import { groupCovers, needsLetter } from '../../hazard/group';
import { ingressAtLeast, parseIngress } from '../../hazard/ingress';
import { classified, type AreaHazard } from '../classified';
import { blank, type Check, saying } from '../check';
import { isFlameproof, type Context } from '../dossier';
import type { Aspect, Facts } from '../../record/finding';
import { asksFor } from '../grades';
import { PLUG_UNCERTAINTY_MM } from '../limits';
import { answerTo, judgeLook } from '../look';
import { carries } from '../marks';
import { suitsEnclosure, type SaysOfSuits } from '../suits';
import { deratingOf } from './e05-ingress';
import { levelsOf } from './e02-level';

type OfGroup = { label: string; tag: string; has: string; asked: string };

/** What it says, and the facts of each. */
type Says = SaysOfSuits<'e06'> &
  SaysOfSuits<'e10'> & {
    'e10.elsewhere': { tag: string; label: string };
    'e10.unknown': { tag: string };
    'e10.contradiction': { tag: string; count: number };
    'e10.contradiction-none': { tag: string };
    'e10.open': { label: string; tag: string };
    'e10.transport': { label: string; tag: string };
    'e10.no-tool': { label: string; tag: string };
    'e10.in-adaptor': { label: string; tag: string };
    'e10.not-known': { label: string; tag: string; what: string };
    'e10.component': { label: string; tag: string; certificate: string };
    'e10.level': { label: string; tag: string; has: string; inZone?: string };
    'e10.group': OfGroup;
    'e10.thread': { label: string; tag: string; plug: string; hole: string };
    'e10.ingress': OfGroup;
    'e10.engaged': {
      label: string;
      tag: string;
      engagedMm: number;
      threads: number;
      requiredThreads: number;
      requiredDepthMm: number | null;
    };
  };
const { fails, unread, notApplicable } = saying<Says>();

type Unused = NonNullable<Context['enclosure']['unused']>[number];

/**
 * Entries that no cable uses are closed with suitable plugs; asked once per enclosure. From afar it is asked
 * whether they are closed and need a tool, close by what the plug is, opened how far it engages; what is
 * known to be wrong counts always.
 */
export const e10: Check = {
  id: 'E-10',
  kinds: ({ wall }) => wall === 'enclosure',
  basis: {
    'iec-2013': 'IEC 60079-14:2013, 10.5; IEC 60079-17:2013, Table 1, entry devices and blanking elements',
  },
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
    if (unused.length === 0 && answerTo(context, 'unused-entries') === 'yes') {
      return [unread('e10.contradiction-none', { tag: enclosure.tag }, 'settle.unused')];
    }
    const faults = unused.flatMap((entry) => faultsOf(context, entry));
    return faults.length > 0 ? [...faults, look] : [look];
  },
};

function faultsOf(context: Context, plug: Unused): Aspect[] {
  const { site, area, enclosure } = context;
  const facts = { label: plug.label, tag: enclosure.tag };
  if (plug.closure === 'none') return [fails('e10.open', facts)];
  if (plug.closure === 'transport-plug') return [fails('e10.transport', facts)];
  const aspects: Aspect[] = [];
  if (!plug.needsTool) aspects.push(fails('e10.no-tool', facts));
  if (plug.inAdaptor) aspects.push(fails('e10.in-adaptor', facts));
  const where = classified(site, area);
  if (where.is === 'classified') {
    aspects.push(...certified(context, plug));
    for (const hazard of where.hazards) aspects.push(...ofHazard(context, plug, hazard));
  }
  aspects.push(...threads(context, plug), ...rating(context, plug), ...engaged(context, plug));
  return aspects.filter(({ outcome, settle }) => outcome === 'fails' || asked(context, settle));
}

/** What is not known of a plug is asked from close by, its engagement only where it is opened. */
const asked = ({ grade }: Context, settle: string | null): boolean =>
  asksFor(grade, settle === 'settle.plug-open' ? 'detailed' : 'close');

const missing = (
  context: Context,
  { label }: Unused,
  what: string,
  settle = 'settle.plug',
  facts: Facts = {},
): Aspect => unread('e10.not-known', { label, tag: context.enclosure.tag, what, ...facts }, settle);

/** A plug is a device like a gland: a component certificate is none of equipment. */
function certified(context: Context, plug: Unused): Aspect[] {
  const { certificate, label } = plug;
  if (certificate === null) return [missing(context, plug, 'plug-certificate')];
  return carries(certificate, 'U')
    ? [fails('e10.component', { label, tag: context.enclosure.tag, certificate })]
    : [];
}

function ofHazard(context: Context, plug: Unused, hazard: AreaHazard): Aspect[] {
  const { label, concepts, groups } = plug;
  const facts = { label, tag: context.enclosure.tag };
  const aspects = suitsEnclosure(context, { ...plug, sealing: false }, hazard).flatMap((answer): Aspect[] => {
    const said = { ...answer.facts, ...facts, has: concepts.join(', ') };
    if (answer.outcome === 'fails') return [fails(`e10.${answer.is}`, said)];
    return answer.outcome === 'unread' ? [unread(`e06.${answer.is}`, answer.facts, 'settle.enclosure')] : [];
  });
  if (hazard.division || concepts.length === 0) return aspects;
  const { levels } = levelsOf(plug);
  if (levels.length > 0 && !levels.some((level) => hazard.levels.includes(level)))
    aspects.push(fails('e10.level', { ...facts, has: levels.join(', '), ...hazard.named }));
  if (levels.length === 0) aspects.push(missing(context, plug, 'plug-level'));
  const { group } = hazard;
  if (groups.length === 0) aspects.push(missing(context, plug, 'plug-group'));
  else if (group !== null && !groups.some((marked) => groupCovers(marked, group, needsLetter(concepts))))
    aspects.push(fails('e10.group', { ...facts, has: groups.join(', '), asked: group }));
  return aspects;
}

function threads(context: Context, plug: Unused): Aspect[] {
  const { label, thread, hole } = plug;
  if (thread === null || hole === null) return [missing(context, plug, 'plug-thread-of-plug-and-entry')];
  const [male, female] = [threadOf(thread), threadOf(hole)];
  if (!male || !female)
    return [missing(context, plug, 'plug-table-thread', 'settle.plug', { thread: male ? hole : thread })];
  if (male.designation === female.designation) return [];
  return [fails('e10.thread', { label, tag: context.enclosure.tag, plug: thread, hole })];
}

/** The plug closes the enclosure as its marking asks. */
function rating(context: Context, plug: Unused): Aspect[] {
  const { enclosure } = context;
  const { label, ingress } = plug;
  if (ingress === null) return [missing(context, plug, 'plug-ingress-rating')];
  const asked = deratingOf(enclosure)?.ingress ?? enclosure.ingress;
  if (asked === null) return [blank('ingress-rating', enclosure.tag, 'settle.enclosure')];
  const [has, need] = [parseIngress(ingress), parseIngress(asked)];
  if (!has || !need) return [missing(context, plug, 'plug-ingress-rating-that-can-be-read')];
  return ingressAtLeast(has, need)
    ? []
    : [fails('e10.ingress', { label, tag: enclosure.tag, has: ingress, asked })];
}

/** A plug in a flameproof wall is a flameproof joint. */
function engaged(context: Context, plug: Unused): Aspect[] {
  const { enclosure } = context;
  const thread = plug.hole === null ? null : threadOf(plug.hole);
  if (!enclosure.concepts.some((concept) => concept[0] === 'd') || !thread) return [];
  if (plug.engagedMm === null) return [missing(context, plug, 'plug-how-far-it-engages', 'settle.plug-open')];
  const taper = thread.smallEndMm !== null;
  const joint = threadEngagement(
    thread.pitchMm,
    plug.engagedMm,
    PLUG_UNCERTAINTY_MM,
    // A volume that nobody recorded counts as a large one.
    enclosure.volumeCm3 ?? Infinity,
    taper,
  );
  if (joint.conforms) return [];
  if (enclosure.volumeCm3 === null) return [blank('volume', enclosure.tag, 'settle.enclosure')];
  const facts = { label: plug.label, tag: enclosure.tag, engagedMm: plug.engagedMm, threads: joint.fullThreads, requiredThreads: joint.requiredThreads, requiredDepthMm: joint.requiredDepthMm }; // prettier-ignore
  return [fails('e10.engaged', facts)];
}
