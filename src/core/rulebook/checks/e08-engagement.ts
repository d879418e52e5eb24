import { threadOf, type Thread } from '../../gland/thread-table';
import { engagedLength, TAPER_THREADS, threadEngagement } from '../../gland/threads';
import { conforms, fails, notApplicable, unread, type Check } from '../check';
import { classified } from '../classified';
import { groupsOf, isFlameproof, singleUncertainty, type Context, type ReadingGroup } from '../dossier';
import type { Aspect } from '../finding';
import { faultOfGroup } from '../judge-value';
import { passedOver } from '../passed-over';

/** Threads engaged of a flameproof joint. */
export const e08: Check = {
  id: 'E-08',
  title: 'Threads engaged',
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
      return [unread('e06.enclosure-unmarked', { enclosure: enclosure.tag }, 'settle.enclosure')];
    }
    if (!isFlameproof(context)) {
      return [notApplicable('e08.no-joint', { concepts: enclosure.concepts.join(', ') })];
    }
    if (entry.hole.form === 'clearance') return [fails('e08.clearance', { thread: entry.hole.thread })];
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    // With an adaptor the joint in the wall is the adaptor's.
    const last = entry.adaptors?.[entry.adaptors.length - 1];
    const thread = size && threadOf(last?.male ?? size.thread);
    if (!thread) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size')];
    const taper = thread.smallEndMm !== null;
    if (taper && thread.series !== 'npt') {
      return [fails('e08.taper-form', { thread: thread.designation })];
    }
    const expectedMm = engagedLength({
      maleMm: size.maleLengthMm,
      washerMm: entry.washerMm,
      runoutMm: size.runoutMm,
      wallMm: enclosure.wallMm,
      chamfersMm: entry.hole.chamfersMm,
    });
    const lengths = groupsOf(context, 'thread-engagement');
    const turns = groupsOf(context, 'thread-turns');
    if (lengths.length + turns.length === 0) {
      const expectedThreads = Math.floor(expectedMm / thread.pitchMm);
      const none = unread('e08.not-measured', { expectedMm, expectedThreads }, 'settle.engagement');
      return [passedOver(context, 'thread-engagement') ?? none];
    }
    return [
      ...lengths.map((group) => judgeEngaged(context, thread, group, 1)),
      // A turn unscrewed is a pitch of thread, and so is its uncertainty.
      ...turns.map((group) => judgeEngaged(context, thread, group, thread.pitchMm)),
    ];
  },
};

/** One group of readings; each is worth `perUnitMm` of thread. */
function judgeEngaged(
  { enclosure }: Context,
  thread: Thread,
  group: ReadingGroup,
  perUnitMm: number,
): Aspect {
  const fault = faultOfGroup('Thread engagement', group);
  if (fault) return fault;
  const taper = thread.smallEndMm !== null;
  // The shortest of several readings is what holds the flame back.
  const engagedMm = Math.min(...group.readings.map(({ value }) => value)) * perUnitMm;
  const uncertaintyMm = singleUncertainty(group.instrument) * perUnitMm;
  const result = threadEngagement(thread.pitchMm, engagedMm, uncertaintyMm, enclosure.volumeCm3, taper);
  const facts = {
    engagedMm,
    uncertaintyMm,
    threads: result.fullThreads,
    requiredThreads: result.requiredThreads,
    requiredDepthMm: result.requiredDepthMm,
    volumeCm3: enclosure.volumeCm3,
    thread: thread.designation,
    turns: result.effectiveLengthMm / thread.pitchMm,
  };
  const margin = result.effectiveLengthMm - (result.requiredDepthMm ?? TAPER_THREADS * thread.pitchMm);
  const key = taper ? 'taper' : 'parallel';
  return result.conforms ? conforms(`e08.${key}`, facts, margin) : fails(`e08.${key}-short`, facts, margin);
}
