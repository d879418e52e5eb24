import { threadOf, type Thread } from '../../gland/thread-table';
import { identifyThread, isNearMiss } from '../../gland/threads';
import { atMost } from '../../quantity/compare';
import { conforms, fails, unread, type Check } from '../check';
import { groupsOf, isFlameproof, type Context } from '../dossier';
import type { Aspect } from '../finding';
import { CLEARANCE_MM } from '../limits';

/** Thread of gland and entry agree in form and size; a thread that only nearly fits is named. */
export const e07: Check = {
  id: 'E-07',
  title: 'Thread form and size',
  grade: 'close',
  hazard: 'explosion',
  place: 'thread-major',
  consequence: (context) => (isFlameproof(context) ? 4 : 3),
  run(context) {
    const { size, certificate, entry } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    if (!size) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size')];
    const gland = threadOf(size.thread);
    if (!gland) return [unread('e07.unknown', { thread: size.thread }, 'settle.certificate')];
    const chain = entry.adaptors ?? [];
    const aspects: Aspect[] = [];
    // From the gland inwards: each thread has to go into the next.
    let male = gland;
    let by = 'Gland';
    for (const adaptor of chain) {
      aspects.push(intoFemale(by, male, adaptor.female, 'adaptor'));
      const next = threadOf(adaptor.male);
      if (!next) return [unread('e07.unknown', { thread: adaptor.male }, 'settle.adaptors')];
      male = next;
      by = 'Adaptor';
    }
    aspects.push(
      entry.hole.form === 'clearance'
        ? clearance(context, male)
        : intoFemale(by, male, entry.hole.thread, 'hole'),
    );
    const measured = identified(context, gland);
    return measured ? [...aspects, measured] : aspects;
  },
};

function clearance({ entry }: Context, gland: Thread): Aspect {
  const holeMm = entry.hole.diameterMm;
  if (holeMm === null) return unread('e07.hole-unmeasured', { thread: gland.designation }, 'settle.hole');
  const play = holeMm - gland.nominalMm;
  const facts = { thread: gland.designation, holeMm, playMm: play, allowedMm: CLEARANCE_MM };
  if (!atMost(0, play)) return fails('e07.hole-too-small', facts, play);
  if (!atMost(play, CLEARANCE_MM)) return fails('e07.hole-too-wide', facts, CLEARANCE_MM - play);
  return conforms('e07.hole', facts, CLEARANCE_MM - play);
}

function intoFemale(by: string, gland: Thread, thread: string, into: 'adaptor' | 'hole'): Aspect {
  const hole = threadOf(thread);
  if (!hole) return unread('e07.unknown', { thread }, into === 'hole' ? 'settle.hole' : 'settle.adaptors');
  const facts = {
    by,
    into,
    gland: gland.designation,
    hole: hole.designation,
    majorDifferenceMm: gland.nominalMm - hole.nominalMm,
    pitchDifferenceMm: gland.pitchMm - hole.pitchMm,
  };
  if (gland.designation === hole.designation) return conforms('e07.agree', facts);
  return fails(isNearMiss(gland, hole) ? 'e07.near-miss' : 'e07.differ', facts);
}

/** The gland's thread as measured: it has to be the one on the sheet. Null when it was not measured. */
function identified(context: Context, gland: Thread): Aspect | null {
  const majorMm = lastValue(context, 'thread-major');
  const pitchMm = lastValue(context, 'thread-pitch');
  if (majorMm === null && pitchMm === null) return null;
  if (majorMm === null || pitchMm === null) {
    return unread('e07.half-measured', { majorMm, pitchMm }, 'settle.thread');
  }
  const { candidates, nearMisses } = identifyThread(majorMm, pitchMm, null);
  const facts = {
    gland: gland.designation,
    majorMm,
    pitchMm,
    found: candidates.map(({ designation }) => designation).join(' or '),
    near: nearMisses[0]?.designation ?? '',
  };
  if (candidates.length === 0) return fails('e07.none-matches', facts);
  if (!candidates.some(({ designation }) => designation === gland.designation)) {
    return fails('e07.other-thread', facts);
  }
  if (candidates.length > 1) return unread('e07.ambiguous', facts, 'settle.taper');
  return conforms('e07.identified', facts);
}

function lastValue(context: Context, place: string): number | null {
  const sound = groupsOf(context, place).filter(({ fault }) => !fault);
  const readings = sound.flatMap((group) => group.readings);
  return readings[readings.length - 1]?.value ?? null;
}
