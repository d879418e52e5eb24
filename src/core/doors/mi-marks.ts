import { endMarks } from '../mineral/marks';

export interface MiMarksInput {
  tail_mm: number;
  tool_stop_offset_mm: number;
  pot_rear_mm: number;
  screen_stub_mm: number | null;
  gland_grip_mm: number;
}

export interface MiMarksOutput {
  strip_mark_mm: number;
  stop_mark_mm: number;
  pot_mark_mm: number;
  screen_cut_mm: number | null;
  jacket_mark_mm: number;
}

/**
 * Door `mi-marks`: marks on a mineral-insulated end, from the fresh square cut.
 *
 * @throws InputError on `screen_stub_mm` when the stub is not shorter than the tail
 */
export function miMarks(input: MiMarksInput): MiMarksOutput {
  const marks = endMarks({
    tailMm: input.tail_mm,
    toolStopOffsetMm: input.tool_stop_offset_mm,
    potRearMm: input.pot_rear_mm,
    screenStubMm: input.screen_stub_mm,
    glandGripMm: input.gland_grip_mm,
  });
  return {
    strip_mark_mm: marks.stripMm,
    stop_mark_mm: marks.stopMm,
    pot_mark_mm: marks.potMm,
    screen_cut_mm: marks.screenMm,
    jacket_mark_mm: marks.jacketMm,
  };
}
