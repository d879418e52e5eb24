import { threadEngagement as engagementOf } from '../gland/threads';
import { requireFinite } from '../quantity/error';

export interface ThreadEngagementInput {
  pitch_mm: number;
  engaged_length_mm: number;
  expanded_uncertainty_mm: number;
  enclosure_volume_cm3: number;
  taper: boolean;
}

export interface ThreadEngagementOutput {
  effective_length_mm: number;
  full_threads: number;
  required_threads: number;
  required_depth_mm: number | null;
  verdict: 'conforms' | 'fails';
}

/** Door `thread-engagement`: full threads and depth of a flameproof joint against what it needs. */
export function threadEngagement(input: ThreadEngagementInput): ThreadEngagementOutput {
  const { pitch_mm, engaged_length_mm, expanded_uncertainty_mm, enclosure_volume_cm3, taper } = input;
  requireFinite({ pitch_mm, engaged_length_mm, expanded_uncertainty_mm, enclosure_volume_cm3 });
  const result = engagementOf(
    pitch_mm,
    engaged_length_mm,
    expanded_uncertainty_mm,
    enclosure_volume_cm3,
    taper,
  );
  return {
    effective_length_mm: result.effectiveLengthMm,
    full_threads: result.fullThreads,
    required_threads: result.requiredThreads,
    required_depth_mm: result.requiredDepthMm,
    verdict: result.conforms ? 'conforms' : 'fails',
  };
}
