import { backNut as backNutOf } from '../gland/back-nut';

export interface BackNutInput {
  seal: {
    housing_bore_mm: number;
    free_bore_mm: number;
    free_outside_mm: number;
    free_length_mm: number;
  };
  start_gap_mm: number;
  turns_after_contact: number;
  pitch_mm: number;
  cable_mm: number;
}

export interface BackNutOutput {
  contact_length_mm: number;
  contact_travel_mm: number;
  total_travel_mm: number;
  gap_mm: number;
  gap_per_mm_cable: number;
  indent_pct: number;
  bottoms: boolean;
}

/**
 * Door `back-nut`: how far the back nut of an outer seal goes on a cable.
 *
 * @throws InputError on `seal.free_outside_mm`, `cable_mm` or `turns_after_contact` where the sizes cannot be
 */
export function backNut({ seal, ...input }: BackNutInput): BackNutOutput {
  const result = backNutOf(
    {
      housingBoreMm: seal.housing_bore_mm,
      freeBoreMm: seal.free_bore_mm,
      freeOutsideMm: seal.free_outside_mm,
      freeLengthMm: seal.free_length_mm,
    },
    input.start_gap_mm,
    input.turns_after_contact,
    input.pitch_mm,
    input.cable_mm,
  );
  return {
    contact_length_mm: result.contactLengthMm,
    contact_travel_mm: result.contactTravelMm,
    total_travel_mm: result.totalTravelMm,
    gap_mm: result.gapMm,
    gap_per_mm_cable: result.gapPerMmCable,
    indent_pct: result.indentPct,
    bottoms: result.bottoms,
  };
}
