import { useState } from 'react';
import { usualEnd } from '../../core/makeoff/marks';
import { ARMOUR_FINISHES, type ArmourEnd, type ArmourFinish } from '../../core/record/types';
import { kindOf, type Dossier } from '../../core/rulebook/dossier';
import { useMeasure, type Measure } from '../../ui/measure';

/** The finish of the armour’s end as it is chosen before the work in a bonded block. */
export interface EndChoice {
  finishes: readonly ArmourFinish[];
  finish: ArmourFinish;
  setFinish: (finish: ArmourFinish) => void;
  overhang: Measure;
  length: Measure;
  /** As it reads now; null where a figure cannot be read. */
  end: ArmourEnd | null;
  /** The same; where a figure cannot be read its field says so and has the focus. */
  need: () => ArmourEnd | null;
}

/** Longest armour past a block, and longest finish, mm. Chosen: far more than any block asks; more is a slip of the keys. */
const MOST_MM = 500;

const tooLong = (mm: number): string | null =>
  mm > MOST_MM ? `That is more than ${MOST_MM} mm. Type it in mm.` : null;

/** Keeps the choice; null for an entry without a bonded block, or whose sheet says nothing of it. */
export function useArmourEnd(dossier: Dossier): EndChoice | null {
  const sheet = kindOf(dossier).transit === 'bonded' ? dossier.certificate?.sheet.transit?.bonded : null;
  const usual = sheet ? usualEnd(sheet) : null;
  const [finish, setFinish] = useState<ArmourFinish>(usual?.finish ?? 'own-sheath');
  const overhang = useMeasure('length', sheet?.overhangMm ?? null, tooLong);
  const length = useMeasure('length', sheet?.overhangMm ?? null, tooLong);
  if (!sheet) return null;
  const made = (overhangMm: number | null, finishMm: number | null): ArmourEnd | null => {
    if (finish === 'window') return { finish, finishMm: 0, overhangMm: 0 };
    return overhangMm === null || finishMm === null ? null : { finish, finishMm, overhangMm };
  };
  return {
    finishes: ARMOUR_FINISHES.filter((one) => one !== 'window' || sheet.window),
    finish,
    setFinish,
    overhang,
    length,
    end: made(overhang.value, length.value),
    need: () => (finish === 'window' ? made(0, 0) : made(overhang.need(), length.need())),
  };
}
