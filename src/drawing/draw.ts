import { KINDS } from '../core/record/kinds';
import { diameterOf, groupsOf, type Dossier } from '../core/rulebook/dossier';
import { drawArmouredGland, type MeasuredPlaces } from './armoured-gland';
import type { Drawing } from './shapes';

const DRAWINGS: Record<string, (dossier: Dossier, measured: MeasuredPlaces) => Drawing> = {
  'armoured-gland': drawArmouredGland,
};

/** Draws an entry from its record and its readings; the kinds table names the drawing. */
export function drawEntry(dossier: Dossier): Drawing {
  const draw = DRAWINGS[KINDS[dossier.entry.kind].drawing]!;
  return draw(dossier, {
    outerMm: mean(dossier, 'outer-sheath'),
    innerMm: mean(dossier, 'inner-sheath'),
    armourMm: mean(dossier, 'armour'),
    engagedMm: least(dossier, 'thread-engagement'),
    gapMm: least(dossier, 'back-nut-gap'),
  });
}

/** Mean of the group with most readings that count. */
function mean(dossier: Dossier, place: string): number | null {
  let best = null;
  for (const group of groupsOf(dossier, place)) {
    if (!group.fault && (!best || group.readings.length > best.readings.length)) best = group;
  }
  return best && diameterOf(dossier, best, dossier.cable?.coldFlow ?? false).meanMm;
}

function least(dossier: Dossier, place: string): number | null {
  const values = groupsOf(dossier, place)
    .filter(({ fault }) => !fault)
    .flatMap(({ readings }) => readings.map(({ value }) => value));
  return values.length > 0 ? Math.min(...values) : null;
}
