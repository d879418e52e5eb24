import { threadOf, type Thread } from '../../gland/thread-table';
import { identifyThread, isNearMiss } from '../../gland/threads';
import { atMost } from '../../quantity/compare';
import { blank, type Check, type None, saying } from '../check';
import { groupsOf, isFlameproof, type Context, type ReadingGroup } from '../dossier';
import type { Aspect, Facts } from '../../record/finding';
import { faultOfGroup, valuesDisagree, weighValue } from '../judge-value';
import { CLEARANCE_MM } from '../limits';
import { answerTo } from '../look';
import { countedGroups } from '../readings';

type OfPlay = { thread: string; holeMm: number; playMm: number; allowedMm: number };
type OfAgree = {
  by: string;
  into: string;
  gland: string;
  hole: string;
  majorDifferenceMm: number;
  pitchDifferenceMm: number;
};
type OfGauge = { gland: string; majorMm: number | null; pitchMm: number; found: string; near: string };

/** What it says, and the facts of each. */
type Says = {
  'e01.no-certificate': None;
  'e01.no-size': { certificate: string; size?: string | null };
  'e07.unknown': { thread: string };
  'e07.taper-in-clearance': { thread: string };
  'e07.hole-unmeasured': { thread: string };
  'e07.hole-too-small': OfPlay;
  'e07.hole-too-wide': OfPlay;
  'e07.hole': OfPlay;
  'e07.agree': OfAgree;
  'e07.near-miss': OfAgree;
  'e07.differ': OfAgree;
  'e07.half-measured': { majorMm: number | null; pitchMm: number | null };
  'e07.none-matches': OfGauge;
  'e07.other-thread': OfGauge;
  'e07.ambiguous': OfGauge;
  'e07.identified': OfGauge;
};
const { conforms, fails, unread } = saying<Says>();

/** Thread of gland and entry agree in form and size; a thread that only nearly fits is named. */
export const e07: Check = {
  id: 'E-07',
  kinds: ({ transit }) => transit === null,
  basis: {
    'iec-2013': 'IEC 60079-14:2013, 10.2; IEC 60079-17:2013, Table 1, entry devices',
    certificate: true,
  },
  grade: 'close',
  hazard: 'explosion',
  place: 'thread-major',
  consequence: (context) => (isFlameproof(context) ? 4 : 3),
  run(context) {
    const { size, certificate, entry } = context;
    if (!certificate) return [unread('e01.no-certificate', {}, 'settle.certificate')];
    if (!size) return [unread('e01.no-size', { certificate: certificate.number }, 'settle.size')];
    if (size.thread === null) return [blank('thread', size.size, 'settle.sheet')];
    const gland = threadOf(size.thread);
    if (!gland) return [unread('e07.unknown', { thread: size.thread }, 'settle.certificate')];
    const chain = entry.adaptors ?? [];
    const aspects: Aspect[] = [];
    // From the gland inwards: each thread has to go into the next.
    let male = gland;
    let by: 'gland' | 'adaptor' = 'gland';
    for (const adaptor of chain) {
      aspects.push(intoFemale(by, male, adaptor.female, 'adaptor'));
      const next = threadOf(adaptor.male);
      if (!next) return [unread('e07.unknown', { thread: adaptor.male }, 'settle.adaptors')];
      male = next;
      by = 'adaptor';
    }
    aspects.push(intoHole(context, by, male));
    return [...aspects, ...identified(context, gland)];
  },
};

function intoHole(context: Context, by: string, male: Thread): Aspect {
  const { form, thread } = context.entry.hole;
  const of = { entry: context.entry.label };
  if (form === null) return blank('hole-is-threaded', of, 'settle.hole');
  if (form === 'clearance') return clearance(context, male);
  return thread === null
    ? blank('thread-of-the-hole', of, 'settle.hole')
    : intoFemale(by, male, thread, 'hole');
}

function clearance({ entry }: Context, gland: Thread): Aspect {
  // A taper thread needs a taper or parallel hole to wedge in, whatever the enclosure (IEC 60079-14:2013, 10).
  if (gland.smallEndMm !== null) return fails('e07.taper-in-clearance', { thread: gland.designation });
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

/** The gland's thread as measured, by everybody who measured it: it has to be the one on the sheet. Empty when nobody did. */
function identified(context: Context, gland: Thread): Aspect[] {
  const majors = groupsOf(context, 'thread-major');
  const pitches = groupsOf(context, 'thread-pitch');
  if (majors.length === 0 && pitches.length === 0) return [];
  if (majors.length === 0 || pitches.length === 0) {
    const facts = { majorMm: valueOf(majors[0]), pitchMm: valueOf(pitches[0]) };
    return [unread('e07.half-measured', facts, 'settle.thread')];
  }
  const major = counted({ part: 'thread-major' }, majors);
  const pitch = counted({ part: 'thread-pitch' }, pitches);
  const open = [...major.open, ...pitch.open];
  if (open.length > 0) return open;
  const seen = answerTo(context, 'thread-taper');
  const taper = seen === null ? null : seen === 'taper';
  return major.values.flatMap((majorMm) =>
    pitch.values.map((pitchMm) => identify(gland, majorMm, pitchMm, taper)),
  );
}

const valueOf = (group: ReadingGroup | undefined): number | null =>
  group?.readings[group.readings.length - 1]?.value ?? null;

/** Values of a thread place that count; what keeps them from counting. */
function counted(of: Facts, groups: readonly ReadingGroup[]): { values: number[]; open: Aspect[] } {
  const kept = countedGroups(groups, (group) => weighValue(group));
  if (!kept) return { values: [], open: [valuesDisagree(of, 'mm', groups)] };
  const open = kept.flatMap((group) => faultOfGroup(of, group) ?? []);
  return { values: kept.flatMap(({ readings }) => readings.map(({ value }) => value)), open };
}

function identify(gland: Thread, majorMm: number, pitchMm: number, taper: boolean | null): Aspect {
  const { candidates, nearMisses } = identifyThread(majorMm, pitchMm, taper);
  const facts = {
    gland: gland.designation,
    majorMm,
    pitchMm,
    found: candidates.map(({ designation }) => designation).join(', '),
    near: nearMisses[0]?.designation ?? '',
  };
  if (candidates.length === 0) return fails('e07.none-matches', facts);
  if (!candidates.some(({ designation }) => designation === gland.designation)) {
    return fails('e07.other-thread', facts);
  }
  if (candidates.length > 1) return unread('e07.ambiguous', facts, 'settle.taper');
  return conforms('e07.identified', facts);
}
