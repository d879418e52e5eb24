import { clamp } from '../quantity/compare';
import type { Level } from '../hazard/level';

/** What a defect threatens: an explosion, a shock, or only the record. */
export const HAZARDS = ['explosion', 'shock', 'record'] as const;
export type Hazard = (typeof HAZARDS)[number];

/** 4 make safe now · 3 within 7 days · 2 within 90 days · 1 next shutdown or 12 months. */
export type Severity = 1 | 2 | 3 | 4;

/**
 * Severity of a defect from its consequence and from what the area requires (never from the device's marking).
 *
 * @param consequence 1 to 4, from the rule book
 * @param areaLevel level that the area requires; null in an unclassified area, which adds nothing
 */
export function severity(consequence: Severity, hazard: Hazard, areaLevel: Level | null): Severity {
  if (hazard === 'record') return consequence;
  if (hazard === 'shock') return Math.max(3, consequence) as Severity;
  return clamp(consequence + exposure(areaLevel), 1, 4) as Severity;
}

/**
 * Level of a failed check: of two hazards the higher level counts.
 *
 * @param areaLevel level that the area counts with
 */
export function levelOf(
  { consequence, hazard, shock }: { consequence: Severity; hazard: Hazard; shock: boolean },
  areaLevel: Level,
): Severity {
  const level = severity(consequence, hazard, areaLevel);
  return shock ? (Math.max(level, severity(consequence, 'shock', areaLevel)) as Severity) : level;
}

function exposure(level: Level | null): number {
  if (level === 'Ga' || level === 'Da') return 1;
  if (level === 'Gc' || level === 'Dc') return -1;
  return 0;
}
