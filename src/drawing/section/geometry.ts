import { threadOf } from '../../core/gland/thread-table';
import { engagedLength } from '../../core/gland/threads';
import { kindOf, type Dossier } from '../../core/rulebook/dossier';
import type { SectionFacts } from './facts';

/** Smallest thing that is drawn, so that a part never vanishes, mm. */
const LEAST_MM = 0.4;
/** Length of cable drawn outside the gland and of tails inside the box, mm. */
export const CABLE_MM = 32;
export const TAIL_MM = 30;
/** Length of an adaptor's body between the walls, mm. */
const ADAPTOR_MM = 12;
/** Thickness of an earth tag ring, mm. */
const TAG_MM = 2.5;

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

/** A wall whose thickness nobody recorded is drawn like this, mm. */
export const UNKNOWN_WALL_MM = 5;

/** Where every part of an entry lies, to scale where record or readings say so. */
export function geometryOf(dossier: Dossier, m: SectionFacts): Geometry {
  const { enclosure, entry, size, cable } = dossier;
  const kind = kindOf(dossier);
  const adaptors = entry.adaptors ?? [];
  const glandMajorR = (threadOf(size?.thread ?? '')?.nominalMm ?? 25) / 2;
  const last = adaptors[adaptors.length - 1];
  const majorR = last ? (threadOf(last.male)?.nominalMm ?? glandMajorR * 2) / 2 : glandMajorR;
  const bodyR = (size?.acrossMm ?? 37) / 2;
  const length = size?.bodyLengthMm ?? 58;
  const wall = Math.max(enclosure.wallMm ?? UNKNOWN_WALL_MM, LEAST_MM);
  const male = size?.maleLengthMm ?? 15;
  const innerR = (m.innerMm ?? cable?.innerMm ?? glandMajorR) / 2;
  const outerR = (m.outerMm ?? cable?.outerMm ?? glandMajorR * 1.6) / 2;
  const gripped = kind.armour === 'gripped';
  const armourT = gripped
    ? Math.max((m.armourMm ?? innerR * 2 + 2) / 2 - innerR, LEAST_MM)
    : Math.max(m.armourMm ?? cable?.armour?.sizeMm ?? 1, LEAST_MM);
  const washerMm = entry.washerMm ?? 0;
  const expected = engagedLength({
    maleMm: male,
    washerMm,
    runoutMm: size?.runoutMm ?? 0,
    wallMm: wall,
    chamfersMm: entry.hole.chamfersMm ?? 0,
  });
  // Fewer threads than the records promise: the gland is not screwed home and stands off the wall.
  const standoff = m.engagedMm === null ? 0 : Math.max(0, expected - m.engagedMm);
  let at = wall;
  const washer: Span | null = washerMm > 0 ? [at, at + washerMm] : null;
  at += washerMm;
  const tag: Span | null = kind.certified ? null : [at, at + TAG_MM];
  if (tag) at = tag[1];
  at += standoff;
  const parts: Geometry['adaptors'] = [];
  let outer = majorR;
  for (const adaptor of [...adaptors].reverse()) {
    const femaleR = (threadOf(adaptor.female)?.nominalMm ?? outer * 2) / 2;
    const maleR = (threadOf(adaptor.male)?.nominalMm ?? outer * 2) / 2;
    const body: Span = [at, at + ADAPTOR_MM];
    parts.push({ body, male: [at - male, at], outerR: Math.max(femaleR, maleR) + 4.5, maleR });
    outer = femaleR;
    at = body[1];
  }
  const shoulder = at;
  const station = (share: number) => shoulder + share * length;
  const gap = m.gapMm ?? m.rightGapMm ?? 2.5;
  const tip = shoulder - male;
  const pot = potOf(dossier, m, tip);
  const hasClamp = kind.armour === 'cone';
  const industrial = kind.drawing === 'industrial';
  const coneFrom = Math.max(station(industrial ? 0.2 : 0.3), (pot?.span[1] ?? 0) + 2);
  const cone: Span | null = hasClamp ? [coneFrom, coneFrom + 0.17 * length] : null;
  const coneTop = cone && cone[0] + (cone[1] - cone[0]) * 0.35 + 1;
  const gripEnd = gripped ? (pot?.span[1] ?? station(0.4)) + 1 : null;
  const armourEnd = coneTop ?? gripEnd;
  const sheathCut =
    armourEnd !== null
      ? armourEnd + (m.armourLengthMm ?? size?.armourLengthMm?.[0] ?? 0.24 * length)
      : kind.inner === 'none'
        ? (pot?.span[1] ?? station(0.3)) + 3
        : station(0.45);
  const innerSeal: Span | null =
    kind.inner === 'seal' && size?.inner !== null ? [station(0.12), station(0.28)] : null;
  const diaphragm: Span | null = kind.inner === 'diaphragm' ? [station(0.1), station(0.26)] : null;
  const sealAt = station(industrial ? 0.66 : 0.7);
  const sealLength = m.pressedMm ?? 0.17 * length;
  const proud = m.proudMm ?? size?.innerProudMm ?? 4;
  const innerFace = innerSeal?.[0] ?? diaphragm?.[0] ?? null;
  return {
    wall,
    majorR,
    glandMajorR,
    bodyR,
    innerR,
    outerR,
    armourT,
    adaptors: parts,
    washer,
    tag,
    wallTip: parts[0]?.male[0] ?? tip,
    tip,
    shoulder,
    innerSeal,
    diaphragm,
    pot,
    cone,
    ring:
      cone && kind.ring !== 'none' && !industrial ? [cone[0] + 0.06 * length, cone[1] + 0.03 * length] : null,
    armourEnd,
    outerSeal: [sealAt, sealAt + sealLength],
    nut: [station(0.68) + gap, Math.max(station(1), sealAt + sealLength + 5) + gap],
    gap,
    sheathCut: Math.max(sheathCut, (armourEnd ?? shoulder) + 2),
    innerCut: pot ? pot.crotch : innerFace !== null ? innerFace - proud : tip - 4,
    reach: Math.max(bodyR * 1.5, bodyR + 15, ...parts.map(({ outerR: r }) => r + 10)),
  };
}

/** The pot sits in the male thread; the crotch of the cores lies just inside its outer end. */
function potOf({ size, cable }: Dossier, m: SectionFacts, tip: number): Geometry['pot'] {
  if (!size?.pot) return null;
  const from = tip + 1;
  const to = from + size.pot.depthMm;
  const crotch = to - 3;
  const reach = m.reachMm ?? Math.min(size.pot.depthMm - 3, 20);
  const cores = (m.overCoresMm ?? cable?.innerMm ?? 10) / 2;
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
  const foot = g.innerR + CONE_FOOT_MM + g.armourT;
  if (x <= from) return top;
  return x >= to ? foot : top + ((foot - top) * (x - from)) / (to - from);
}

/** Thickness of the cone at its foot, mm. */
const CONE_FOOT_MM = 0.8;
