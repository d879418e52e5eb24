import { atMost, below } from '../quantity/compare';
import { InputError } from '../quantity/error';

/** An outer seal as it lies in the hand, and the housing it is pressed into; mm. */
export interface SealRing {
  housingBoreMm: number;
  freeBoreMm: number;
  freeOutsideMm: number;
  freeLengthMm: number;
}

export interface BackNut {
  /** Length of the ring when it fills the housing and touches the cable. */
  contactLengthMm: number;
  contactTravelMm: number;
  totalTravelMm: number;
  /** Gap left under the back nut; negative when the faces meet first. */
  gapMm: number;
  /** Change of the gap with the cable's diameter. */
  gapPerMmCable: number;
  /** How far the sheath is indented, % of its diameter. */
  indentPct: number;
  /** The faces meet before the seal grips. */
  bottoms: boolean;
}

/**
 * How far the back nut goes: a rubber ring of constant volume fills its housing, touches the cable, and is
 * pressed on by the sheet's turns.
 *
 * @param startGapMm gap at hand-on, mm
 * @param turns turns after contact
 * @param pitchMm pitch of the back nut's thread, mm
 * @param cableMm diameter of the cable, mm
 * @throws InputError on `seal.free_outside_mm`, `cable_mm` or `turns_after_contact` where the sizes cannot be
 */
export function backNut(
  seal: SealRing,
  startGapMm: number,
  turns: number,
  pitchMm: number,
  cableMm: number,
): BackNut {
  const { housingBoreMm: housing, freeBoreMm: bore, freeOutsideMm: outside, freeLengthMm: length } = seal;
  if (atMost(outside, bore) || below(housing, outside)) {
    throw new InputError('seal.free_outside_mm', 'seal.outside');
  }
  if (below(bore, cableMm)) {
    throw new InputError('cable_mm', 'cable.bore');
  }
  const rubber = length * (outside * outside - bore * bore);
  const contactLengthMm = rubber / (housing * housing - cableMm * cableMm);
  const contactTravelMm = length - contactLengthMm;
  const pressed = contactLengthMm - turns * pitchMm;
  if (atMost(pressed, rubber / (housing * housing))) {
    throw new InputError('turns_after_contact', 'turns.shut');
  }
  const totalTravelMm = contactTravelMm + turns * pitchMm;
  const gapMm = startGapMm - totalTravelMm;
  const wanted = Math.sqrt(housing * housing - rubber / pressed);
  return {
    contactLengthMm,
    contactTravelMm,
    totalTravelMm,
    gapMm,
    gapPerMmCable: (2 * cableMm * contactLengthMm) / (housing * housing - cableMm * cableMm),
    indentPct: (100 * (cableMm - wanted)) / cableMm,
    bottoms: below(gapMm, 0),
  };
}
