import { threadOf } from '../core/gland/thread-table';
import { engagedLength } from '../core/gland/threads';
import type { Dossier } from '../core/rulebook/dossier';
import { figure } from '../core/words/format';
import {
  mirrored,
  rectangle,
  type Drawing,
  type Label,
  type Material,
  type Point,
  type Shape,
} from './shapes';

/** What was measured at the places, mm; null where nothing counts yet. */
export interface MeasuredPlaces {
  outerMm: number | null;
  innerMm: number | null;
  armourMm: number | null;
  engagedMm: number | null;
  gapMm: number | null;
}

/** Smallest thing that is drawn, so that a part never vanishes, mm. */
const LEAST_MM = 0.4;
/** Length of cable drawn outside the gland and of tails inside the box, mm. */
const CABLE_MM = 26;
const TAIL_MM = 26;
/** Most cores that are drawn one by one. */
const MOST_CORES = 12;

/** Radii and stations of one gland, mm. */
interface Geometry {
  wall: number;
  majorR: number;
  bodyR: number;
  innerR: number;
  outerR: number;
  armourT: number;
  shoulder: number;
  tip: number;
  innerSeal: [number, number];
  cone: [number, number];
  ring: [number, number];
  outerSeal: [number, number];
  nut: [number, number];
  gap: number;
  sheathCut: number;
}

/**
 * An armoured gland in section, to scale: wall and thread as engaged, seals against the sheaths as measured,
 * armour on the cone, back-nut gap, cores by count.
 */
export function drawArmouredGland(dossier: Dossier, measured: MeasuredPlaces): Drawing {
  const g = geometryOf(dossier, measured);
  const shapes: Shape[] = [];
  const labels: Label[] = [];
  const both = (material: Material, points: readonly Point[], place?: string, index?: number) => {
    shapes.push({ type: 'polygon', material, points, place, index });
    shapes.push({ type: 'polygon', material, points: mirrored(points), place, index });
  };

  drawCable(shapes, dossier, g);
  drawWall(both, shapes, dossier, g);
  drawBody(both, g);
  drawSeals(both, dossier, g);
  drawArmour(both, shapes, g);
  const left = -TAIL_MM - 6;
  const right = g.nut[1] + CABLE_MM;
  shapes.push({
    type: 'line',
    material: 'axis',
    points: [
      [left, 0],
      [right, 0],
    ],
    dashed: true,
  });

  const reach = Math.max(g.bodyR * 1.5, g.bodyR + 12);
  const anchors = anchorsOf(g);
  labelWall(shapes, labels, dossier, measured, g, -reach);
  labelGap(shapes, labels, measured, g);
  labels.push({ text: 'inside', at: [left + 1, reach - 1], anchor: 'start', quiet: true });
  labels.push({ text: 'outside', at: [right - 1, reach - 1], anchor: 'end', quiet: true });
  return {
    shapes,
    labels,
    anchors,
    box: [left, -reach - 6, right, reach],
    description: describe(dossier, measured, g),
  };
}

function geometryOf({ enclosure, entry, size, cable }: Dossier, m: MeasuredPlaces): Geometry {
  const thread = size && threadOf(size.thread);
  const majorR = (thread?.nominalMm ?? 25) / 2;
  const bodyR = (size?.acrossMm ?? 37) / 2;
  const length = size?.bodyLengthMm ?? 58;
  const wall = Math.max(enclosure.wallMm, LEAST_MM);
  const innerR = (m.innerMm ?? cable?.innerMm ?? majorR) / 2;
  const outerR = (m.outerMm ?? cable?.outerMm ?? majorR * 1.6) / 2;
  const armourT = Math.max(m.armourMm ?? cable?.armour?.sizeMm ?? 1, LEAST_MM);
  const male = size?.maleLengthMm ?? 15;
  const expected = engagedLength({
    maleMm: male,
    washerMm: entry.washerMm,
    runoutMm: size?.runoutMm ?? 0,
    wallMm: wall,
    chamfersMm: entry.hole.chamfersMm,
  });
  // Fewer threads than the records promise: the gland is not screwed home and stands off the wall.
  const standoff = m.engagedMm === null ? 0 : Math.max(0, expected - m.engagedMm);
  const shoulder = wall + entry.washerMm + standoff;
  const at = (share: number) => shoulder + share * length;
  const gap = m.gapMm ?? 2.5;
  return {
    wall,
    majorR,
    bodyR,
    innerR,
    outerR,
    armourT,
    shoulder,
    tip: shoulder - male,
    innerSeal: [at(0.12), at(0.28)],
    cone: [at(0.3), at(0.47)],
    ring: [at(0.36), at(0.5)],
    outerSeal: [at(0.7), at(0.87)],
    nut: [at(0.68) + gap, at(1) + gap],
    gap,
    sheathCut: at(0.6),
  };
}

type Both = (material: Material, points: readonly Point[], place?: string, index?: number) => void;

function drawCable(shapes: Shape[], { cable, size }: Dossier, g: Geometry): void {
  const end = g.nut[1] + CABLE_MM;
  const start = Math.min(0, g.tip) - 2;
  shapes.push({
    type: 'polygon',
    material: 'sheath-outer',
    points: rectangle(g.sheathCut, -g.outerR, end, g.outerR),
    place: 'outer-sheath',
  });
  shapes.push({
    type: 'polygon',
    material: 'sheath-inner',
    points: rectangle(start, -g.innerR, end, g.innerR),
    place: size?.inner ? 'inner-sheath' : undefined,
  });
  const total = (cable?.cores ?? []).reduce((sum, { count }) => sum + count, 0);
  const drawn = Math.min(Math.max(total, 1), MOST_CORES);
  const band = (2 * g.innerR * 0.86) / drawn;
  const spread = Math.min(g.majorR * 1.7, g.innerR + drawn * 1.6);
  for (let i = 0; i < drawn; i++) {
    const y = -g.innerR * 0.86 + band * (i + 0.5);
    const half = band * 0.42;
    const tailY = drawn === 1 ? 0 : -spread + (2 * spread * i) / (drawn - 1);
    const points: Point[] = [[-TAIL_MM, tailY - half], [-TAIL_MM * 0.45, tailY - half], [start, y - half], [end, y - half],
      [end, y + half], [start, y + half], [-TAIL_MM * 0.45, tailY + half], [-TAIL_MM, tailY + half]]; // prettier-ignore
    shapes.push({ type: 'polygon', material: 'core', points, index: i });
    const wire = half * 0.55;
    shapes.push({
      type: 'polygon',
      material: 'conductor',
      points: rectangle(-TAIL_MM - 6, tailY - wire, -TAIL_MM, tailY + wire),
    });
  }
}

function drawWall(both: Both, shapes: Shape[], dossier: Dossier, g: Geometry): void {
  const { hole } = dossier.entry;
  const holeR = hole.form === 'clearance' && hole.diameterMm ? hole.diameterMm / 2 : g.majorR;
  const height = Math.max(g.bodyR * 1.5, g.bodyR + 12);
  both('wall', rectangle(0, -height, g.wall, -holeR), 'thread-engagement');
  if (hole.form === 'clearance') return;
  // The thread shows where male and female overlap, pitch by pitch.
  const from = Math.max(0, g.tip) + dossier.entry.hole.chamfersMm / 2;
  const to = Math.min(g.wall, g.shoulder) - dossier.entry.hole.chamfersMm / 2;
  const pitch = threadOf(hole.thread)?.pitchMm ?? 1.5;
  for (const side of [-1, 1]) {
    const points: Point[] = [];
    for (let x = from; x <= to + 1e-9; x += pitch / 2) {
      const crest = points.length % 2 === 0 ? 0.5 : -0.5;
      points.push([x, side * (g.majorR + crest * pitch * 0.6)]);
    }
    if (points.length > 1) {
      shapes.push({ type: 'line', material: 'dimension', points, place: 'thread-engagement', width: 1.2 });
    }
  }
}

function drawBody(both: Both, g: Geometry): void {
  const bore = Math.min(g.majorR * 0.82, Math.max(g.innerR + 0.6, g.majorR * 0.62));
  both('brass', rectangle(g.tip, -g.majorR, g.shoulder, -bore));
  const [sealStart, sealEnd] = g.innerSeal;
  const housing = housingR(g.innerR);
  const flange = g.shoulder + 0.1 * (g.nut[1] - g.shoulder);
  both('brass', rectangle(g.shoulder, -g.bodyR, flange, -bore));
  both('brass', rectangle(flange, -g.bodyR * 0.86, sealEnd + 1, -housing));
  both('brass', rectangle(flange, -housing, sealStart, -bore));
  const middleEnd = g.outerSeal[0] - 1;
  both('brass', rectangle(sealEnd + 1, -g.bodyR, middleEnd, -g.bodyR * 0.8));
  both('brass', rectangle(middleEnd - 3, -g.bodyR * 0.8, middleEnd, -(g.outerR + 1.2)));
  const [nutStart, nutEnd] = g.nut;
  both('brass', rectangle(nutStart, -g.bodyR, nutEnd, -housingR(g.outerR)));
  both('brass', rectangle(nutEnd - 4, -housingR(g.outerR), nutEnd, -(g.outerR + 1)));
}

const housingR = (cableR: number): number => cableR + Math.max(2.2, cableR * 0.28);

/** A seal touches the sheath only where the sheath, as measured, fills its range. */
function drawSeals(both: Both, { size }: Dossier, g: Geometry): void {
  if (size?.inner) {
    const bore = sealBore(g.innerR, size.inner.rangeMm);
    both('rubber', rectangle(g.innerSeal[0], -housingR(g.innerR), g.innerSeal[1], -bore), 'inner-sheath');
  }
  const outer = size ? sealBore(g.outerR, size.outer.rangeMm) : g.outerR;
  both('rubber', rectangle(g.outerSeal[0], -housingR(g.outerR), g.outerSeal[1], -outer), 'outer-sheath');
}

const sealBore = (cableR: number, [low, high]: readonly [number, number]): number =>
  Math.min(Math.max(cableR, low / 2), high / 2);

function drawArmour(both: Both, shapes: Shape[], g: Geometry): void {
  const [coneStart, coneEnd] = g.cone;
  const top = g.innerR + Math.max(4.5, g.innerR * 0.3);
  const foot = g.innerR + 0.8;
  both('brass', [[coneStart, -g.innerR - 0.5], [coneStart, -top], [coneStart + (coneEnd - coneStart) * 0.35, -top],
    [coneEnd, -foot], [coneEnd, -g.innerR - 0.5]]); // prettier-ignore
  const coneX = coneStart + (coneEnd - coneStart) * 0.35;
  const ride = g.armourT / 2;
  for (const side of [-1, 1]) {
    const points: Point[] = [
      [coneX + 1, side * (top + ride)],
      [coneEnd, side * (foot + ride)],
      [g.sheathCut - 2, side * (g.innerR + ride)],
      [g.nut[1] + CABLE_MM, side * (g.innerR + ride)],
    ];
    shapes.push({
      type: 'line',
      material: 'armour',
      points,
      place: 'armour',
      dashed: true,
      width: g.armourT,
    });
  }
  const [ringStart, ringEnd] = g.ring;
  const lift = top + g.armourT;
  const low = foot + g.armourT + 0.3;
  both(
    'brass',
    [
      [ringStart, -lift - 3],
      [ringStart, -lift],
      [ringEnd, -low],
      [ringEnd, -lift - 3],
    ],
    'armour',
  );
}

function anchorsOf(g: Geometry): Drawing['anchors'] {
  const middle = ([a, b]: [number, number]) => (a + b) / 2;
  return [
    { place: 'inner-sheath', at: [middle(g.innerSeal), housingR(g.innerR) * 0.5 + g.innerR * 0.5] },
    { place: 'armour', at: [middle(g.ring), g.innerR + Math.max(4.5, g.innerR * 0.3) + g.armourT + 1.5] },
    { place: 'outer-sheath', at: [middle(g.outerSeal), housingR(g.outerR) * 0.5 + g.outerR * 0.5] },
  ];
}

function labelWall(
  shapes: Shape[],
  labels: Label[],
  { size }: Dossier,
  { engagedMm }: MeasuredPlaces,
  g: Geometry,
  top: number,
): void {
  const y = top - 2.5;
  shapes.push({
    type: 'line',
    material: 'dimension',
    points: [
      [0, y],
      [g.wall, y],
    ],
  });
  for (const x of [0, g.wall])
    shapes.push({
      type: 'line',
      material: 'dimension',
      points: [
        [x, y - 1.5],
        [x, y + 1.5],
      ],
    });
  const pitch = (size && threadOf(size.thread)?.pitchMm) || 1.5;
  const threads =
    engagedMm === null
      ? 'thread not measured'
      : `${figure(engagedMm)} mm, ${Math.floor(engagedMm / pitch)} threads`;
  labels.push({ text: `wall ${figure(g.wall)} mm, ${threads}`, at: [g.wall + 2, y], anchor: 'start' });
}

function labelGap(shapes: Shape[], labels: Label[], { gapMm }: MeasuredPlaces, g: Geometry): void {
  const from = g.nut[0] - g.gap;
  const y = -g.bodyR - 3;
  shapes.push({
    type: 'line',
    material: 'dimension',
    points: [
      [from, y],
      [g.nut[0], y],
    ],
    place: 'back-nut-gap',
  });
  const text = gapMm === null ? 'gap not measured' : `gap ${figure(gapMm)} mm`;
  labels.push({ text, at: [(from + g.nut[0]) / 2, y - 2.5], anchor: 'middle', quiet: gapMm === null });
}

function describe({ entry, size, cable, enclosure }: Dossier, m: MeasuredPlaces, g: Geometry): string {
  const parts = [
    `Section of entry ${entry.label} of ${enclosure.tag}`,
    size ? `size ${size.size}, ${size.thread}` : 'size not named',
    `wall ${figure(g.wall)} mm`,
    m.engagedMm === null ? 'thread engagement not measured' : `${figure(m.engagedMm)} mm of thread engaged`,
    m.innerMm === null ? 'inner sheath not measured' : `inner sheath ${figure(m.innerMm)} mm`,
    m.armourMm === null ? 'armour not measured' : `armour ${figure(m.armourMm)} mm`,
    m.outerMm === null ? 'outer sheath not measured' : `outer sheath ${figure(m.outerMm)} mm`,
    cable ? `cable ${cable.tag}` : 'no cable recorded',
  ];
  return `${parts.join(', ')}.`;
}
