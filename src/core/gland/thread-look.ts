import type { Thread } from './thread-table';

/** The look or measurement that tells two threads apart. */
export type ThreadLook = 'taper' | 'pitch' | 'major' | 'gauge';

/** Differences that a pitch gauge and a caliper show beyond doubt, mm. Chosen: twice what a gauge and a hand may be off. */
const CLEAR_PITCH_MM = 0.12;
const CLEAR_MAJOR_MM = 0.5;

/**
 * What separates two threads, the easiest first: two diameters along the thread, the pitch gauge, the caliper
 * over the crests, and where none of them does, a plug or ring gauge.
 */
export function separatedBy(a: Thread, b: Thread): ThreadLook {
  if ((a.smallEndMm === null) !== (b.smallEndMm === null)) return 'taper';
  if (Math.abs(a.pitchMm - b.pitchMm) > CLEAR_PITCH_MM) return 'pitch';
  return Math.abs(a.nominalMm - b.nominalMm) > CLEAR_MAJOR_MM ? 'major' : 'gauge';
}

const EASIEST_FIRST: readonly ThreadLook[] = ['taper', 'pitch', 'major', 'gauge'];

/** The looks that tell several threads apart, the easiest first: one look rarely settles more than two threads. */
export function looksThatSeparate(threads: readonly Thread[]): ThreadLook[] {
  const pairs = threads.flatMap((a, i) => threads.slice(i + 1).map((b) => separatedBy(a, b)));
  return EASIEST_FIRST.filter((look) => pairs.includes(look));
}
