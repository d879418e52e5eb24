import { identifyThread } from '../gland/threads';
import type { ThreadSeries } from '../gland/thread-table';
import { requireFinite } from '../quantity/error';

export interface ThreadIdentifyInput {
  major_mm: number;
  pitch_mm: number;
  taper_seen: boolean | null;
}

export interface ThreadIdentifyOutput {
  candidates: { designation: string; series: ThreadSeries; score: number }[];
  ambiguous: boolean;
  near_misses: { designation: string; major_difference_mm: number; pitch_difference_mm: number }[];
}

/** Door `thread-identify`: which threads a measured male thread can be, and which it only nearly is. */
export function threadIdentify(input: ThreadIdentifyInput): ThreadIdentifyOutput {
  requireFinite({ major_mm: input.major_mm, pitch_mm: input.pitch_mm });
  const { candidates, ambiguous, nearMisses } = identifyThread(
    input.major_mm,
    input.pitch_mm,
    input.taper_seen,
  );
  return {
    candidates,
    ambiguous,
    near_misses: nearMisses.map((miss) => ({
      designation: miss.designation,
      major_difference_mm: miss.majorDifferenceMm,
      pitch_difference_mm: miss.pitchDifferenceMm,
    })),
  };
}
