import { threadOf } from '../../gland/thread-table';
import { engagedLength, threadEngagement } from '../../gland/threads';
import { conforms, fails, notApplicable, unread, type Check } from '../check';
import { groupsOf, isFlameproof, singleUncertainty } from '../dossier';

/** Threads engaged of a flameproof joint. */
export const e08: Check = {
  id: 'E-08',
  title: 'Threads engaged',
  grade: 'detailed',
  hazard: 'explosion',
  place: 'thread-engagement',
  consequence: (context) => (isFlameproof(context) ? 4 : 3),
  run(context) {
    const { enclosure, entry, size, certificate } = context;
    if (enclosure.concepts.length === 0) {
      return [unread('e06.enclosure-unmarked', { enclosure: enclosure.tag }, 'settle.enclosure')];
    }
    if (!isFlameproof(context)) {
      return [notApplicable('e08.no-joint', { concepts: enclosure.concepts.join(', ') })];
    }
    if (entry.hole.form === 'clearance') return [fails('e08.clearance', { thread: entry.hole.thread })];
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    const thread = size && threadOf(size.thread);
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
    const groups = groupsOf(context, 'thread-engagement');
    if (groups.length === 0) {
      const expectedThreads = Math.floor(expectedMm / thread.pitchMm);
      return [unread('e08.not-measured', { expectedMm, expectedThreads }, 'settle.engagement')];
    }
    return groups.map((group) => {
      const { tag, calibratedUntil } = group.instrument;
      if (group.fault) {
        const facts = { part: 'Thread engagement', instrument: tag, until: calibratedUntil };
        return unread(`measured.${group.fault}`, facts, 'settle.other-instrument');
      }
      // The shortest of several readings is what holds the flame back.
      const engagedMm = Math.min(...group.readings.map(({ value }) => value));
      const uncertaintyMm = singleUncertainty(group.instrument);
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
      const margin = result.effectiveLengthMm - (result.requiredDepthMm ?? 4.5 * thread.pitchMm);
      const key = taper ? 'taper' : 'parallel';
      return result.conforms
        ? conforms(`e08.${key}`, facts, margin)
        : fails(`e08.${key}-short`, facts, margin);
    });
  },
};
