import { APART, PROPORTIONS, SECTION, USUAL } from '../proportions';
import { threadOf } from '../../core/gland/thread-table';
import { engagedLength } from '../../core/gland/threads';
import { kindOf, type Dossier } from '../../core/rulebook/dossier';
import type { SectionFacts } from './facts';

/** A stretch along the cable, mm: from the inside face of the wall (0) outwards. */
export type Span = readonly [from: number, to: number];

/** Radii and stations of one entry, mm. */
export interface Geometry {
  wall: number;
  /** Radius of the male thread in the wall, and of the gland's own thread. */
  majorR: number;
  glandMajorR: number;
  bodyR: number;
  innerR: number;
  outerR: number;
  armourT: number;
  /** Adaptors between wall and gland, from the wall outwards. */
  adaptors: { body: Span; male: Span; outerR: number; maleR: number }[];
  washer: Span | null;
  tag: Span | null;
  /** Inner end of the male thread that stands in the wall, and of the gland itself. */
  wallTip: number;
  tip: number;
  /** Face of the gland that looks to the wall, and the end of the back nut. */
  shoulder: number;
  innerSeal: Span | null;
  diaphragm: Span | null;
  pot: { span: Span; boreR: number; crotch: number; far: number } | null;
  cone: Span | null;
  ring: Span | null;
  armourEnd: number | null;
  outerSeal: Span;
  nut: Span;
  gap: number;
  /** Where outer and inner sheath are cut. */
  sheathCut: number;
  innerCut: number;
  /** Half height of the drawing. */
  reach: number;
}

type Radii = Pick<Geometry, 'majorR' | 'glandMajorR' | 'bodyR' | 'innerR' | 'outerR' | 'armourT'>;

/** Radii of gland and cable. */
function radiiOf(dossier: Dossier, m: SectionFacts): Radii {
  const { size, cable, entry } = dossier;
  const glandMajorR = (threadOf(size?.thread ?? '')?.nominalMm ?? USUAL.majorMm) / 2;
  const last = entry.adaptors?.at(-1);
  const innerR = (m.innerMm ?? cable?.innerMm ?? glandMajorR) / 2;
  const gripped = kindOf(dossier).armour === 'gripped';
  const armourMm = gripped
    ? (m.armourMm ?? innerR * 2 + 2) / 2 - innerR
    : (m.armourMm ?? cable?.armour?.sizeMm ?? USUAL.armourMm);
  return {
    majorR: last ? (threadOf(last.male)?.nominalMm ?? glandMajorR * 2) / 2 : glandMajorR,
    glandMajorR,
    bodyR: (size?.acrossMm ?? USUAL.acrossMm) / 2,
    innerR,
    outerR: (m.outerMm ?? cable?.outerMm ?? glandMajorR * PROPORTIONS.outerToThread) / 2,
    armourT: Math.max(armourMm, SECTION.leastMm),
  };
}

type OnWall = Pick<Geometry, 'washer' | 'tag' | 'adaptors' | 'shoulder'>;

/** What stands between the wall and the gland's shoulder, from the wall outwards. */
function onWall(dossier: Dossier, m: SectionFacts, wallMm: number, maleMm: number, majorR: number): OnWall {
  const { entry, size } = dossier;
  const washerMm = entry.washerMm ?? 0;
  const expected = engagedLength({
    maleMm,
    washerMm,
    runoutMm: size?.runoutMm ?? 0,
    wallMm,
    chamfersMm: entry.hole.chamfersMm ?? 0,
  });
  const washer: Span | null = washerMm > 0 ? [wallMm, wallMm + washerMm] : null;
  let at = wallMm + washerMm;
  const tag: Span | null = kindOf(dossier).certified ? null : [at, at + SECTION.tagMm];
  if (tag) at = tag[1];
  // Fewer threads than the records promise: the gland is not screwed home and stands off the wall.
  at += m.engagedMm === null ? 0 : Math.max(0, expected - m.engagedMm);
  const adaptors: Geometry['adaptors'] = [];
  let outer = majorR;
  for (const adaptor of [...(entry.adaptors ?? [])].reverse()) {
    const femaleR = (threadOf(adaptor.female)?.nominalMm ?? outer * 2) / 2;
    const maleR = (threadOf(adaptor.male)?.nominalMm ?? outer * 2) / 2;
    const body: Span = [at, at + SECTION.adaptorMm];
    adaptors.push({ body, male: [at - maleMm, at], outerR: Math.max(femaleR, maleR) + APART.adaptor, maleR });
    outer = femaleR;
    at = body[1];
  }
  return { washer, tag, adaptors, shoulder: at };
}

type Clamped = Pick<Geometry, 'cone' | 'ring' | 'armourEnd' | 'sheathCut'>;

/** Where the armour is held, and where the outer sheath is cut for it. */
function clampOf(
  dossier: Dossier,
  m: SectionFacts,
  { shoulder, length, pot }: { shoulder: number; length: number; pot: Geometry['pot'] },
): Clamped {
  const kind = kindOf(dossier);
  const station = (share: number) => shoulder + share * length;
  const industrial = kind.drawing === 'industrial';
  const from = station(industrial ? PROPORTIONS.cone.fromIndustrial : PROPORTIONS.cone.from);
  const coneFrom = Math.max(from, (pot?.span[1] ?? 0) + APART.beforeCone);
  const cone: Span | null =
    kind.armour === 'cone' ? [coneFrom, coneFrom + PROPORTIONS.cone.length * length] : null;
  const { share, moreMm } = PROPORTIONS.coneTop;
  const coneTop = cone && cone[0] + (cone[1] - cone[0]) * share + moreMm;
  const gripEnd =
    kind.armour === 'gripped' ? (pot?.span[1] ?? station(PROPORTIONS.gripped)) + APART.gripped : null;
  const armourEnd = coneTop ?? gripEnd;
  const { withoutPot, plain } = PROPORTIONS.sheathCut;
  const bare = kind.inner === 'none' ? (pot?.span[1] ?? station(withoutPot)) + APART.sheath : station(plain);
  const armourMm = m.armourLengthMm ?? dossier.size?.armourLengthMm?.[0] ?? PROPORTIONS.armourLength * length;
  const sheathCut = armourEnd === null ? bare : armourEnd + armourMm;
  const hasRing = cone && kind.ring !== 'none' && !industrial;
  return {
    cone,
    ring: hasRing ? [cone[0] + PROPORTIONS.ring.from * length, cone[1] + PROPORTIONS.ring.to * length] : null,
    armourEnd,
    sheathCut: Math.max(sheathCut, (armourEnd ?? shoulder) + APART.armour),
  };
}

/** Where every part of an entry lies, to scale where record or readings say so. */
export function geometryOf(dossier: Dossier, m: SectionFacts): Geometry {
  const { enclosure, size } = dossier;
  const kind = kindOf(dossier);
  const radii = radiiOf(dossier, m);
  const length = size?.bodyLengthMm ?? USUAL.bodyLengthMm;
  const wall = Math.max(enclosure.wallMm ?? SECTION.unknownWallMm, SECTION.leastMm);
  const male = size?.maleLengthMm ?? USUAL.maleMm;
  const standing = onWall(dossier, m, wall, male, radii.majorR);
  const { shoulder, adaptors } = standing;
  const station = (share: number) => shoulder + share * length;
  const span = ([from, to]: readonly [number, number]): Span => [station(from), station(to)];
  const gap = m.gapMm ?? m.rightGapMm ?? USUAL.gapMm;
  const tip = shoulder - male;
  const pot = potOf(dossier, m, tip);
  const clamped = clampOf(dossier, m, { shoulder, length, pot });
  const innerSeal = kind.inner === 'seal' && size?.inner !== null ? span(PROPORTIONS.innerSeal) : null;
  const diaphragm = kind.inner === 'diaphragm' ? span(PROPORTIONS.diaphragm) : null;
  const innerFace = innerSeal?.[0] ?? diaphragm?.[0] ?? null;
  const { at, atIndustrial, length: sealShare } = PROPORTIONS.outerSeal;
  const sealFrom = station(kind.drawing === 'industrial' ? atIndustrial : at);
  const sealTo = sealFrom + (m.pressedMm ?? sealShare * length);
  const proud = m.proudMm ?? size?.innerProudMm ?? USUAL.proudMm;
  return {
    wall,
    ...radii,
    ...standing,
    wallTip: adaptors[0]?.male[0] ?? tip,
    tip,
    innerSeal,
    diaphragm,
    pot,
    ...clamped,
    outerSeal: [sealFrom, sealTo],
    nut: [station(PROPORTIONS.nut) + gap, Math.max(station(1), sealTo + APART.nut) + gap],
    gap,
    innerCut: pot ? pot.crotch : innerFace !== null ? innerFace - proud : tip - APART.cores,
    reach: Math.max(
      radii.bodyR * PROPORTIONS.reach,
      radii.bodyR + APART.body,
      ...adaptors.map(({ outerR }) => outerR + APART.frame),
    ),
  };
}

/** The pot sits in the male thread; the crotch of the cores lies just inside its outer end. */
function potOf({ size, cable }: Dossier, m: SectionFacts, tip: number): Geometry['pot'] {
  if (!size?.pot) return null;
  const from = tip + 1;
  const to = from + size.pot.depthMm;
  const crotch = to - APART.crotch;
  const reach = m.reachMm ?? Math.min(size.pot.depthMm - APART.crotch, USUAL.potReachMm);
  const cores = (m.overCoresMm ?? cable?.innerMm ?? USUAL.coresMm) / 2;
  return { span: [from, to], boreR: Math.max(size.pot.boreMm / 2, cores), crotch, far: crotch - reach };
}

/** Radius of the housing round a seal on a cable of that radius. */
export const housingR = (cableR: number): number => cableR + Math.max(2.2, cableR * 0.28);

/** Height of the cone's top above the axis. */
export const coneTopR = (g: Geometry): number => g.innerR + Math.max(4.5, g.innerR * 0.3);

/** Height of the armour's outer face over the cone at a station: what ring or nut presses on. */
export function overCone(g: Geometry, x: number): number {
  const from = g.armourEnd!;
  const to = g.cone![1];
  const top = coneTopR(g) + g.armourT;
  const foot = g.innerR + SECTION.coneFootMm + g.armourT;
  if (x <= from) return top;
  return x >= to ? foot : top + ((foot - top) * (x - from)) / (to - from);
}
