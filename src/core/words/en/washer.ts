import type { Facts } from '../../record/finding';
import { THIN_WALL_MM, WASHER_ABOVE } from '../../rulebook/limits';

const REASONS: Record<string, (f: Facts) => string> = {
  sheet: (f) => `the sheet asks for ${f.sheetMm} mm`,
  clearance: () => 'the hole is a clearance hole',
  'thin-wall': (f) => `the wall of ${f.wallMm} mm is under ${THIN_WALL_MM} mm`,
  enclosure: (f) => `${f.enclosureRating} of the enclosure is above ${WASHER_ABOVE}`,
  area: (f) => `${f.areaRating} of the area is above ${WASHER_ABOVE}`,
};

/** What asks for a washer; what was told in words before stays as it is. */
export const washerWords = (f: Facts): string =>
  String(f.reasons ?? '')
    .split(', ')
    .map((why) => REASONS[why]?.(f) ?? why)
    .join('; ');
