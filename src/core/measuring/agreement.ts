import { atMost } from '../quantity/compare';

/** Does what was measured outside and inside the armour agree with what the cable record says lies between? */
export interface Agreement {
  /** Measured outer mean − measured inner mean, mm. */
  foundMm: number;
  /** 2·(armour + sheath) of the record, mm. */
  expectedMm: number;
  /** √(U_o² + U_i²) + the record's tolerance, mm. */
  allowedMm: number;
  agrees: boolean;
}

/**
 * @param outer mean and expanded uncertainty of the outer sheath, mm
 * @param inner the same of the inner sheath, mm
 * @param record armour size (wire diameter, or braid or tape thickness), sheath thickness and tolerance, mm
 */
export function agreement(
  outer: { meanMm: number; expandedUncertaintyMm: number },
  inner: { meanMm: number; expandedUncertaintyMm: number },
  record: { armourMm: number; sheathMm: number; toleranceMm: number },
): Agreement {
  const foundMm = outer.meanMm - inner.meanMm;
  const expectedMm = 2 * (record.armourMm + record.sheathMm);
  const allowedMm = Math.hypot(outer.expandedUncertaintyMm, inner.expandedUncertaintyMm) + record.toleranceMm;
  return { foundMm, expectedMm, allowedMm, agrees: atMost(Math.abs(foundMm - expectedMm), allowedMm) };
}
