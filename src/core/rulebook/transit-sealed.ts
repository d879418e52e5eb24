import type {
  Cable,
  Frame,
  FrameOpening,
  Id,
  Instrument,
  PackedOpening,
  SealantSheet,
} from '../record/types';
import { knownDiameter, type SideOpen } from './transit-found';
import { sealantNeed, type SealantNeed, type SealantOpening } from '../transit/sealant';

/** A cable on the face of an opening, mm; the origin is the lower left corner, of a round one the centre. */
export interface Placed {
  id: Id;
  xMm: number;
  yMm: number;
  diameterMm: number;
}

/** The opening as sealant counts it. */
export const sealantOpening = ({ shape, widthMm, heightMm }: FrameOpening): SealantOpening =>
  shape === 'round' ? { shape, diameterMm: widthMm } : { shape, widthMm, heightMm };

/** What closing an opening takes, by the diameters of the records. */
export const sealantFor = (
  { sides, wallDepthMm }: Frame,
  opening: FrameOpening,
  cables: readonly Placed[],
  { depthMm, wastePct, cartridgeMl, sleeve, maxFillPct }: SealantSheet,
): SealantNeed =>
  sealantNeed({
    opening: sealantOpening(opening),
    cablesMm: cables.map(({ diameterMm }) => diameterMm),
    depthMm,
    sides,
    wallDepthMm,
    wastePct,
    cartridgeMl,
    sleeve,
    maxFillPct,
  });

/** The cables that lie in an opening, with their diameters by their records; for planning and drawing. */
export const placedIn = ({ cables }: PackedOpening, records: ReadonlyMap<Id, Cable>): Placed[] =>
  cables.flatMap(({ cable, xMm, yMm }) => {
    const record = records.get(cable);
    return record?.outerMm != null ? { id: cable, xMm, yMm, diameterMm: record.outerMm } : [];
  });

/** A cable in sealant as it was measured: its largest diameter with the uncertainty, and what leaves it open. */
export interface MeasuredInSealant extends Placed {
  open: SideOpen | null;
  cable: Cable | null;
}

/** The cables that lie in an opening as they were measured; none is left out. */
export const measuredIn = (
  { cables }: PackedOpening,
  records: ReadonlyMap<Id, Cable>,
  instruments: ReadonlyMap<Id, Instrument>,
): MeasuredInSealant[] =>
  cables.map(({ cable: id, xMm, yMm, readings }) => {
    const cable = records.get(id) ?? null;
    const known = knownDiameter(readings ?? [], cable?.outerMm ?? null, cable, instruments);
    const diameterMm = known.cable ? known.cable.maxMm + known.cable.expandedUncertaintyMm : 0;
    return { id, xMm, yMm, diameterMm, open: known.open, cable };
  });

/** From the skin of a round thing to the wall of the opening, mm; negative where it reaches into the wall. */
export function toWall(opening: FrameOpening, { xMm, yMm, diameterMm }: Omit<Placed, 'id'>): number {
  const r = diameterMm / 2;
  if (opening.shape === 'round') return opening.widthMm / 2 - Math.hypot(xMm, yMm) - r;
  return Math.min(xMm, yMm, opening.widthMm - xMm, opening.heightMm - yMm) - r;
}

/** From skin to skin of two round things, mm. */
export const between = (a: Omit<Placed, 'id'>, b: Omit<Placed, 'id'>): number =>
  Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm) - (a.diameterMm + b.diameterMm) / 2;

/** The least distance of the cables from each other and from the wall, and which they are; null for too few. */
export function leastDistances(
  opening: FrameOpening,
  cables: readonly Placed[],
): { cables: { mm: number; ids: [Id, Id] } | null; wall: { mm: number; id: Id } | null } {
  let pair: { mm: number; ids: [Id, Id] } | null = null;
  let wall: { mm: number; id: Id } | null = null;
  cables.forEach((a, i) => {
    const mm = toWall(opening, a);
    if (!wall || mm < wall.mm) wall = { mm, id: a.id };
    for (const b of cables.slice(i + 1)) {
      const apart = between(a, b);
      if (!pair || apart < pair.mm) pair = { mm: apart, ids: [a.id, b.id] };
    }
  });
  return { cables: pair, wall };
}

/** Where a hole can be cored for one more cable. */
export interface Coring {
  punchMm: number;
  /** Cells of the face in which its centre may lie, mm, each a square of this side. */
  cells: { xMm: number; yMm: number }[];
  cellMm: number;
  /** The centre that lies furthest from everything; null where there is no room. */
  best: { xMm: number; yMm: number; clearMm: number } | null;
}

/** Cells that the face is searched in, along its longer side. Chosen: a gap of a ninetieth of the face is found. */
const CELLS = 90;

/**
 * Where a hole can be cored with the least distances kept.
 *
 * @param cableMm diameter of the new cable
 */
export function coringFor(
  opening: FrameOpening,
  cables: readonly Placed[],
  cableMm: number,
  {
    cableGapMm,
    wallGapMm,
    coreClearanceMm,
  }: { cableGapMm: number; wallGapMm: number; coreClearanceMm: number },
): Coring {
  const punchMm = cableMm + coreClearanceMm;
  const cellMm = Math.max(opening.widthMm, opening.heightMm) / CELLS;
  const round = opening.shape === 'round';
  const [fromX, fromY] = round ? [-opening.widthMm / 2, -opening.widthMm / 2] : [0, 0];
  const height = round ? opening.widthMm : opening.heightMm;
  const cells: Coring['cells'] = [];
  let best: Coring['best'] = null;
  for (let x = cellMm / 2; x < opening.widthMm; x += cellMm) {
    for (let y = cellMm / 2; y < height; y += cellMm) {
      const hole = { xMm: fromX + x, yMm: fromY + y, diameterMm: punchMm };
      const wall = toWall(opening, hole) - wallGapMm;
      const near = cables.reduce(
        (least, cable) => Math.min(least, between(hole, cable) - cableGapMm),
        Infinity,
      );
      const clearMm = Math.min(wall, near);
      if (clearMm < -1e-9) continue;
      cells.push({ xMm: hole.xMm, yMm: hole.yMm });
      if (!best || clearMm > best.clearMm) best = { xMm: hole.xMm, yMm: hole.yMm, clearMm };
    }
  }
  return { punchMm, cells, cellMm, best };
}
