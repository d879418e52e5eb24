import { threadOf, type Thread } from '../../gland/thread-table';
import { engagedLength, TAPER_THREADS, threadEngagement } from '../../gland/threads';
import { below } from '../../quantity/compare';
import type { Adaptor, GlandSize } from '../../record/types';
import { blank, type Check, type None, saying } from '../check';
import { classified } from '../classified';
import { conceptsHere, volumeHere } from '../../kinds/compartment';
import { groupsOf, isFlameproof, singleUncertainty, type Context } from '../dossier';
import type { Aspect } from '../../record/finding';
import { faultOfGroup, valuesDisagree, weighValue } from '../judge-value';
import { DIVISION_TAPER_THREADS, TURNS_UNCERTAINTY } from '../limits';
import { passedOver } from '../passed-over';
import { countedGroups } from '../readings';

type OfThreads = {
  where: string;
  by: string;
  engagedMm: number;
  uncertaintyMm: number;
  threads: number;
  requiredThreads: number;
  volumeCm3: number | null;
  requiredDepthMm: number | null;
  thread: string | null;
  turns: number;
};

/** What it says, and the facts of each. */
type Says = {
  'area.unclassified': { area: string };
  'e06.enclosure-unmarked': { enclosure: string; against: string };
  'e08.no-joint': { concepts: string };
  'e06.compartment': { enclosure: string; against: string; concepts: string };
  'e08.clearance': { thread: string | null };
  'e01.no-certificate': None;
  'e01.no-size': { certificate: string; size?: string | null };
  'e07.unknown': { thread: string | null };
  'e08.taper-form': { thread: string | null };
  'e08.not-measured': { where: string };
  'e08.too-long': { where: string; engagedMm: number; uncertaintyMm: number; expectedMm: number };
  'e08.volume': OfThreads;
  'e08.parallel': OfThreads;
  'e08.parallel-short': OfThreads;
  'e08.taper': OfThreads;
  'e08.taper-short': OfThreads;
};
const { conforms, fails, unread, notApplicable } = saying<Says>();

/** Threads engaged of a flameproof joint, in the wall and in an adaptor. */
export const e08: Check = {
  id: 'E-08',
  kinds: ({ transit }) => transit === null,
  basis: { 'iec-2013': 'IEC 60079-1, cylindrical and taper threaded joints' },
  grade: 'detailed',
  hazard: 'explosion',
  place: 'thread-engagement',
  consequence: (context) => (isFlameproof(context) ? 4 : 3),
  run(context) {
    const { site, area, enclosure, entry, size, certificate } = context;
    if (enclosure.concepts.length === 0 && classified(site, area).is === 'unclassified') {
      return [notApplicable('area.unclassified', { area: area.name })];
    }
    if (enclosure.concepts.length === 0) {
      return [
        unread('e06.enclosure-unmarked', { enclosure: enclosure.tag, against: 'gas' }, 'settle.enclosure'),
      ];
    }
    const here = conceptsHere(context, false);
    if (!isFlameproof(context)) {
      return [notApplicable('e08.no-joint', { concepts: enclosure.concepts.join(', ') })];
    }
    if (here.is === 'open') {
      const facts = { enclosure: enclosure.tag, concepts: here.concepts.join(', '), against: 'gas' };
      return [unread('e06.compartment', facts, 'settle.compartment')];
    }
    if (entry.hole.form === null) return [blank('hole-is-threaded', { entry: entry.label }, 'settle.hole')];
    if (entry.hole.form === 'clearance') return [fails('e08.clearance', { thread: entry.hole.thread })];
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    if (!size) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size')];
    if (size.thread === null) return [blank('thread', size.size, 'settle.sheet')];
    return jointsOf(context, size.thread).flatMap((joint) => judgeJoint(context, joint));
  },
};

/** A threaded joint on the way of the flame. */
interface ThreadedJoint {
  where: 'wall' | 'adaptor';
  thread: string;
  /** By the records; null where they do not say. */
  geometryMm: number | null;
  place: string;
  turns: string | null;
}

/** The joint in the wall, and with an adaptor that between adaptor and gland. */
function jointsOf({ enclosure, entry, size }: Context, ofGland: string): ThreadedJoint[] {
  const adaptors = entry.adaptors ?? [];
  const last = adaptors[adaptors.length - 1];
  const { washerMm, hole } = entry;
  const { wallMm } = enclosure;
  const { chamfersMm } = hole;
  const inWall = (maleMm: number | null, runoutMm: number | null): number | null =>
    maleMm === null || runoutMm === null || wallMm === null || washerMm === null || chamfersMm === null
      ? null
      : engagedLength({ maleMm, washerMm, runoutMm, wallMm, chamfersMm });
  const wall = (thread: string, geometryMm: number | null): ThreadedJoint => ({
    where: 'wall', thread, geometryMm, place: 'thread-engagement', turns: 'thread-turns',
  }); // prettier-ignore
  if (!last) return [wall(ofGland, inWall(size!.maleLengthMm, size!.runoutMm))];
  return [
    wall(last.male, inWall(last.maleLengthMm, last.runoutMm)),
    {
      where: 'adaptor', thread: ofGland, geometryMm: inAdaptor(last, size!),
      place: 'adaptor-engagement', turns: null,
    }, // prettier-ignore
  ];
}

const inAdaptor = ({ femaleDepthMm }: Adaptor, { maleLengthMm, runoutMm }: GlandSize): number | null =>
  femaleDepthMm === null || maleLengthMm === null || runoutMm === null
    ? null
    : Math.max(0, Math.min(maleLengthMm - runoutMm, femaleDepthMm));

function judgeJoint(context: Context, joint: ThreadedJoint): Aspect[] {
  const thread = threadOf(joint.thread);
  if (!thread) return [unread('e07.unknown', { thread: joint.thread }, 'settle.adaptors')];
  if (thread.smallEndMm !== null && thread.series !== 'npt')
    return [fails('e08.taper-form', { thread: thread.designation })];
  const measured = measuredIn(context, joint, thread);
  if ('open' in measured) return measured.open;
  const { geometryMm } = joint;
  if (measured.lengths.length === 0) {
    const skipped = passedOver(context, joint.place);
    if (skipped) return [skipped];
    if (geometryMm === null) return [unread('e08.not-measured', { where: joint.where }, 'settle.engagement')];
    return [judgeLength(context, joint, thread, { mm: geometryMm, uncertaintyMm: 0, by: 'geometry' })];
  }
  return measured.lengths.map(({ mm, uncertaintyMm }) => {
    // What is longer than wall and thread allow cannot be: the reading or the record is wrong.
    if (geometryMm !== null && below(geometryMm, mm - uncertaintyMm)) {
      return unread('e08.too-long', { where: joint.where, engagedMm: mm, uncertaintyMm, expectedMm: geometryMm }, 'settle.which'); // prettier-ignore
    }
    const least = geometryMm !== null && geometryMm < mm - uncertaintyMm ? geometryMm + uncertaintyMm : mm;
    return judgeLength(context, joint, thread, { mm: least, uncertaintyMm, by: 'measured' });
  });
}

interface EngagedLength {
  mm: number;
  uncertaintyMm: number;
}

const NOT_MEASURED = { lengths: [] };

/** Lengths as measured, or as turns counted; what keeps them from counting. */
function measuredIn(
  context: Context,
  { place, turns }: ThreadedJoint,
  { pitchMm }: Thread,
): { lengths: EngagedLength[] } | { open: Aspect[] } {
  const lengths = groupsOf(context, place);
  const counts = turns === null ? [] : groupsOf(context, turns);
  const all = counts.length === 0 ? lengths : [...lengths, ...counts];
  if (all.length === 0) return NOT_MEASURED;
  const kept =
    all.length === 1
      ? all
      : countedGroups(all, (group) => weighValue(group, counts.includes(group) ? pitchMm : 1));
  if (!kept) return { open: [valuesDisagree({ part: 'thread-engagement' }, 'as-read', all)] };
  const open: Aspect[] = [];
  const found: EngagedLength[] = [];
  for (const group of kept) {
    const fault = faultOfGroup({ part: 'thread-engagement' }, group);
    if (fault) open.push(fault);
    const counted = counts.includes(group);
    const own = singleUncertainty(group.instrument);
    // The shortest of several readings is what holds the flame back.
    let least = Infinity;
    for (const { value } of group.readings) if (value < least) least = value;
    // The last thread lets go late: a count is never better than half a turn.
    found.push({
      mm: least * (counted ? pitchMm : 1),
      uncertaintyMm: counted ? Math.max(own, TURNS_UNCERTAINTY) * pitchMm : own,
    });
  }
  return open.length > 0 ? { open } : { lengths: found };
}

function judgeLength(
  context: Context,
  { where }: ThreadedJoint,
  thread: Thread,
  { mm: engagedMm, uncertaintyMm, by }: EngagedLength & { by: 'geometry' | 'measured' },
): Aspect {
  const volumeCm3 = volumeHere(context);
  const taper = thread.smallEndMm !== null;
  // A compartment whose volume nobody recorded counts as a large one.
  const result = threadEngagement(thread.pitchMm, engagedMm, uncertaintyMm, volumeCm3 ?? Infinity, taper);
  const requiredThreads = taper ? taperThreads(context) : result.requiredThreads;
  const turns = result.effectiveLengthMm / thread.pitchMm;
  const facts = {
    where, by, engagedMm, uncertaintyMm, threads: result.fullThreads, requiredThreads, volumeCm3,
    requiredDepthMm: result.requiredDepthMm, thread: thread.designation, turns,
  }; // prettier-ignore
  const margin = result.effectiveLengthMm - (result.requiredDepthMm ?? requiredThreads * thread.pitchMm);
  const key = taper ? 'taper' : 'parallel';
  const holds = result.conforms && (!taper || !below(turns, requiredThreads));
  if (holds) return conforms(`e08.${key}`, facts, margin);
  const small =
    volumeCm3 === null && threadEngagement(thread.pitchMm, engagedMm, uncertaintyMm, 0, taper).conforms;
  return small ? unread('e08.volume', facts, 'settle.compartment') : fails(`e08.${key}-short`, facts, margin);
}

/** Threads that a taper joint needs: one site scheme asks for more, unless the entry was cut and listed by the maker. */
const taperThreads = ({ site, entry }: Context): number =>
  site.scheme === 'divisions' && entry.factoryThreaded !== true ? DIVISION_TAPER_THREADS : TAPER_THREADS;
