import { InputError } from '../quantity/error';
import { atMost } from '../quantity/compare';

/** How a mineral-insulated end is made off; all mm. */
export interface EndGeometry {
  /** Conductor length wanted beyond the sheath. */
  tailMm: number;
  /** Between the tool's blade and the face that runs against the uncut jacket or the clamp. */
  toolStopOffsetMm: number;
  /** From the sheath's end back to the pot's rear face: thread length less projection. */
  potRearMm: number;
  /** Inner screen that is left standing; null without a screen. */
  screenStubMm: number | null;
  /** Sheath that the gland grips behind the pot. */
  glandGripMm: number;
}

/** Marks on the cable, all from the fresh square cut, mm. */
export interface EndMarks {
  stripMm: number;
  stopMm: number;
  potMm: number;
  /** Null without a screen. */
  screenMm: number | null;
  /** How far an outer plastic jacket goes back. */
  jacketMm: number;
}

/**
 * Where a mineral-insulated end is marked.
 *
 * @throws InputError on `screen_stub_mm` when the stub is not shorter than the tail
 */
export function endMarks({
  tailMm,
  toolStopOffsetMm,
  potRearMm,
  screenStubMm,
  glandGripMm,
}: EndGeometry): EndMarks {
  if (screenStubMm !== null && atMost(tailMm, screenStubMm)) {
    throw new InputError('screen_stub_mm', 'screen.stub');
  }
  return {
    stripMm: tailMm,
    stopMm: tailMm + toolStopOffsetMm,
    potMm: tailMm + potRearMm,
    screenMm: screenStubMm === null ? null : tailMm - screenStubMm,
    jacketMm: tailMm + potRearMm + glandGripMm,
  };
}
