import { atMost, below, floorSlack, SLACK } from '../quantity/compare';
import { THREADS, type Thread, type ThreadSeries } from './thread-table';

/** Measured major diameter of a parallel male thread lies this far below … above its nominal (mm). Chosen: tolerance 6g of ISO 965-1, wear of the crests, and the caliper. */
const PARALLEL_BELOW_MM = 0.45;
const PARALLEL_ABOVE_MM = 0.05;
/** The same for a taper thread, below its small end and above its nominal (mm). Chosen: wear of the small end, and a reading taken further up the taper. */
const TAPER_BELOW_MM = 0.15;
const TAPER_ABOVE_MM = 0.4;
/** Pitch gauge and reading together (mm). Chosen: the smallest step between two pitches of the table is more than twice that. */
const PITCH_TOLERANCE_MM = 0.06;
/** How near two nominal diameters are for the threads to seem to screw together (mm). Chosen: such threads bite for a turn or two. */
const NEAR_MAJOR_MM = 1.5;
/** How near two declared pitches are for the same (mm). Chosen: such threads bite for a turn or two. */
const NEAR_PITCH_MM = 0.35;

interface ThreadCandidate {
  designation: string;
  series: ThreadSeries;
  /** 0 is a perfect match. */
  score: number;
}

interface NearMiss {
  designation: string;
  /** Measured − nominal, mm. */
  majorDifferenceMm: number;
  /** Measured − nominal, mm. */
  pitchDifferenceMm: number;
}

export interface ThreadIdentity {
  candidates: ThreadCandidate[];
  /** Not exactly one candidate. */
  ambiguous: boolean;
  /** Other threads whose nominal lies within 1.5 mm, nearest first. */
  nearMisses: NearMiss[];
}

/**
 * Which threads a male thread can be.
 *
 * @param majorMm measured major diameter, mm, > 0 (a taper thread at its small end)
 * @param pitchMm measured pitch, mm, > 0
 * @param taperSeen two diameters along the thread compared: true taper, false parallel, null not looked
 */
export function identifyThread(majorMm: number, pitchMm: number, taperSeen: boolean | null): ThreadIdentity {
  const found = THREADS.flatMap((thread, order) => {
    const score = taperSeen === (thread.smallEndMm === null) ? null : scoreOf(thread, majorMm, pitchMm);
    return score === null ? [] : [{ thread, order, score }];
  });
  found.sort((a, b) => (Math.abs(a.score - b.score) <= SLACK ? a.order - b.order : a.score - b.score));

  const taken = new Set(found.map(({ thread }) => thread));
  const nearMisses = THREADS.filter(
    (t) => !taken.has(t) && atMost(Math.abs(majorMm - t.nominalMm), NEAR_MAJOR_MM),
  )
    .map((t) => ({
      designation: t.designation,
      majorDifferenceMm: majorMm - t.nominalMm,
      pitchDifferenceMm: pitchMm - t.pitchMm,
    }))
    .sort((a, b) => byDistance(a.majorDifferenceMm, b.majorDifferenceMm));

  return {
    candidates: found.map(({ thread, score }) => ({
      designation: thread.designation,
      series: thread.series,
      score,
    })),
    ambiguous: found.length !== 1,
    nearMisses,
  };
}

/** Nearest first; a stable sort keeps the table's order on a tie. */
function byDistance(a: number, b: number): number {
  const difference = Math.abs(a) - Math.abs(b);
  return Math.abs(difference) <= SLACK ? 0 : difference;
}

function scoreOf(thread: Thread, majorMm: number, pitchMm: number): number | null {
  const pitchOff = Math.abs(pitchMm - thread.pitchMm);
  if (!atMost(pitchOff, PITCH_TOLERANCE_MM)) return null;
  const { nominalMm, smallEndMm } = thread;
  if (smallEndMm === null) {
    const within =
      atMost(nominalMm - PARALLEL_BELOW_MM, majorMm) && atMost(majorMm, nominalMm + PARALLEL_ABOVE_MM);
    if (!within) return null;
    return Math.abs(majorMm - nominalMm) / PARALLEL_BELOW_MM + pitchOff / PITCH_TOLERANCE_MM;
  }
  const within = atMost(smallEndMm - TAPER_BELOW_MM, majorMm) && atMost(majorMm, nominalMm + TAPER_ABOVE_MM);
  if (!within) return null;
  const outside = Math.max(smallEndMm - majorMm, majorMm - nominalMm, 0);
  return outside / PARALLEL_BELOW_MM + pitchOff / PITCH_TOLERANCE_MM;
}

/** Whether two declared threads are unlike and yet so near that they may start to screw together. */
export function isNearMiss(a: Thread, b: Thread): boolean {
  return (
    a.designation !== b.designation &&
    atMost(Math.abs(a.nominalMm - b.nominalMm), NEAR_MAJOR_MM) &&
    atMost(Math.abs(a.pitchMm - b.pitchMm), NEAR_PITCH_MM)
  );
}

/** Full threads that a parallel flameproof joint needs (IEC 60079-1, cylindrical threaded joints). */
export const PARALLEL_THREADS = 5;
/** Threads that a taper flameproof joint needs (IEC 60079-1, taper threaded joints). */
export const TAPER_THREADS = 4.5;
/** Volume above which the deeper engagement is asked for, cm³. Source: IEC 60079-1, cylindrical threaded joints. */
export const SMALL_VOLUME_CM3 = 100;
/** Engagement up to and over that volume, mm. Source: IEC 60079-1, cylindrical threaded joints. */
export const DEPTH_SMALL_MM = 5;
export const DEPTH_LARGE_MM = 8;

export interface Engagement {
  /** Engaged length less its uncertainty, mm. */
  effectiveLengthMm: number;
  fullThreads: number;
  requiredThreads: number;
  /** Null for a taper joint. */
  requiredDepthMm: number | null;
  conforms: boolean;
}

/**
 * Thread engagement of a flameproof joint, the uncertainty taken off first.
 *
 * @param pitchMm mm, > 0
 * @param engagedLengthMm mm, ≥ 0
 * @param expandedUncertaintyMm mm, ≥ 0
 * @param volumeCm3 volume of the enclosure, cm³
 */
export function threadEngagement(
  pitchMm: number,
  engagedLengthMm: number,
  expandedUncertaintyMm: number,
  volumeCm3: number,
  taper: boolean,
): Engagement {
  const effectiveLengthMm = engagedLengthMm - expandedUncertaintyMm;
  const fullThreads = floorSlack(effectiveLengthMm / pitchMm);
  if (taper) {
    // A half thread counts on a taper: the length decides, not the whole threads.
    const conforms = atMost(TAPER_THREADS, effectiveLengthMm / pitchMm);
    return {
      effectiveLengthMm,
      fullThreads,
      requiredThreads: TAPER_THREADS,
      requiredDepthMm: null,
      conforms,
    };
  }
  const requiredDepthMm = below(SMALL_VOLUME_CM3, volumeCm3) ? DEPTH_LARGE_MM : DEPTH_SMALL_MM;
  const conforms = fullThreads >= PARALLEL_THREADS && atMost(requiredDepthMm, effectiveLengthMm);
  return { effectiveLengthMm, fullThreads, requiredThreads: PARALLEL_THREADS, requiredDepthMm, conforms };
}

/**
 * Engaged length from the geometry: the least of male length − washer − run-out and wall − chamfers.
 * All mm; never negative.
 */
export function engagedLength(joint: {
  maleMm: number;
  washerMm: number;
  runoutMm: number;
  wallMm: number;
  chamfersMm: number;
}): number {
  return Math.max(
    0,
    Math.min(joint.maleMm - joint.washerMm - joint.runoutMm, joint.wallMm - joint.chamfersMm),
  );
}
