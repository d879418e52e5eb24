import { isSoft } from '../../core/measuring/soft';
import type { ArmourType } from '../../core/record/types';
import { gapScale } from '../../core/rulebook/gap-scale';
import { diameterOf, groupsOf, kindOf, type Dossier } from '../../core/rulebook/dossier';
import { faceInUse } from '../../core/kinds/places';

/** What a section is drawn from: measured values in mm, null where nothing counts yet, and what was seen. */
export interface SectionFacts {
  outerMm: number | null;
  innerMm: number | null;
  overCoresMm: number | null;
  armourMm: number | null;
  engagedMm: number | null;
  gapMm: number | null;
  /** Gap that the scale asks for on this cable. */
  rightGapMm: number | null;
  /** Length of the outer seal's rubber when it is pressed as the sheet says. */
  pressedMm: number | null;
  proudMm: number | null;
  armourLengthMm: number | null;
  reachMm: number | null;
  /** How far the sheath stands proud in the pot of a mineral-insulated end. */
  projectionMm: number | null;
  /** Compound or resin has been packed. */
  packed: boolean;
  /** Answers to the looks, by look. */
  seen: (look: string) => string | null;
  /** Face of the ring by its name, what it holds by the sheet, and whether it is the one for this armour. */
  ring: { face: string; holds: ArmourType | null; right: boolean } | null;
}

/** Collects what is drawn from an entry's record, readings and looks. */
export function factsOf(dossier: Dossier): SectionFacts {
  const scale = gapScale(dossier);
  const sheet = dossier.size?.backNut ?? null;
  const { ring } = kindOf(dossier);
  const face = dossier.entry.ringFace;
  const holds = dossier.size?.clamp.find((one) => one.face === face)?.armour ?? null;
  const turned = ring === 'reversible' || ring === 'dedicated';
  return {
    outerMm: mean(dossier, 'outer-sheath'),
    innerMm: mean(dossier, 'inner-sheath'),
    overCoresMm: mean(dossier, 'over-cores'),
    armourMm: mean(dossier, 'armour'),
    engagedMm: least(dossier, 'thread-engagement'),
    gapMm: least(dossier, 'back-nut-gap'),
    rightGapMm: scale?.nut.gapMm ?? null,
    pressedMm: scale && sheet ? scale.nut.contactLengthMm - sheet.turns * sheet.pitchMm : null,
    proudMm: least(dossier, 'inner-proud'),
    armourLengthMm: least(dossier, 'armour-length'),
    reachMm: least(dossier, 'compound-reach'),
    projectionMm: least(dossier, 'pot-projection'),
    packed: dossier.pours.some(({ packedAt }) => packedAt !== null),
    seen: (look) => dossier.looks.get(look)?.answer ?? null,
    ring:
      turned && face !== null ? { face, holds, right: faceInUse(dossier, kindOf(dossier)) !== null } : null,
  };
}

/** Mean of the group with most readings that count. */
function mean(dossier: Dossier, place: string): number | null {
  let best = null;
  for (const group of groupsOf(dossier, place)) {
    if (!group.fault && (!best || group.readings.length > best.readings.length)) best = group;
  }
  return best && diameterOf(dossier, best, isSoft(dossier.cable)).meanMm;
}

function least(dossier: Dossier, place: string): number | null {
  const values = groupsOf(dossier, place)
    .filter(({ fault }) => !fault)
    .flatMap(({ readings }) => readings.map(({ value }) => value));
  return values.length > 0 ? Math.min(...values) : null;
}
