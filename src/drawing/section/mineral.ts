import { MINERAL, SECTION } from '../proportions';
import { wallWords } from './wall';
import { threadOf } from '../../core/gland/thread-table';
import { FINISHED, type Stage } from '../../core/makeoff/stage';
import { linkLengths } from '../../core/mineral/link';
import { metalSheathMm } from '../../core/mineral/sheath';
import type { MineralLink } from '../../core/record/types';
import { kindOf, type Dossier } from '../../core/rulebook/dossier';
import { count, figure } from '../../core/words/en/format';
import { circle, rectangle, type Drawing, type Point, type Shape } from '../shapes';
import { factsOf } from './facts';
import { drawWall } from './wall';
import type { Geometry, Span } from './geometry';
import { Pen } from './pen';
import { kindTitle } from '../../core/words/en/kinds/kinds';

/** Radii and stations of one mineral-insulated end, mm; 0 is the inside face of the wall, outwards is positive. */
interface End {
  sheathR: number;
  jacketR: number;
  potR: number;
  bodyR: number;
  majorR: number;
  wall: number;
  washer: Span | null;
  shoulder: number;
  tip: number;
  nut: Span;
  /** Rear face, end of the thread, and mouth of the pot. */
  rear: number;
  threadEnd: number;
  mouth: number;
  sheathEnd: number;
  jacketCut: number;
  reach: number;
}

/**
 * A mineral-insulated end in section, to scale: pot with the sheath as far proud as it was measured, disc,
 * sleeves, compound, drain wire, and the gland that grips the sheath. A link shows its far end and the path too.
 *
 * @param stage how far the make-off has come
 */
export function drawMineral(dossier: Dossier, stage: Stage = FINISHED): Drawing {
  const { cable } = dossier;
  const end = endOf(dossier);
  const pen = new Pen();
  drawEnd(pen, dossier, end, stage);
  const left = end.mouth - MINERAL.tailMm - 6;
  let right = end.nut[1] + MINERAL.cableMm;
  pen.line('axis', [[left, 0], [right, 0]], { dashed: true }); // prettier-ignore
  const link = cable?.mineral?.link ?? null;
  const isLink = kindOf(dossier).link;
  if (isLink && stage.pot) right = drawFarEnd(pen, dossier, end, stage, link);
  if (stage.nut) drawFigures(pen, dossier, end);
  if (stage.inWall) pen.label('inside', [left + 1, end.reach - 1], 'start', true);
  return {
    shapes: pen.shapes,
    labels: pen.labels,
    anchors: [{ place: 'outer-sheath', at: [(end.shoulder + end.nut[0]) / 2, end.sheathR] }],
    box: [left, -end.reach - 12, right, end.reach + (isLink ? 8 : 0)],
    description: describe(dossier, link),
  };
}

function endOf(dossier: Dossier): End {
  const { enclosure, entry, size, cable } = dossier;
  const m = factsOf(dossier);
  const sheathR = (m.outerMm ?? (cable && metalSheathMm(cable)) ?? 9) / 2;
  const pot = size?.mineral ?? null;
  const wall = Math.max(enclosure.wallMm ?? SECTION.unknownWallMm, 0.4);
  const washerMm = entry.washerMm ?? 0;
  const shoulder = wall + washerMm;
  const tip = shoulder - (size?.maleLengthMm ?? 15);
  const bodyR = (size?.acrossMm ?? 26) / 2;
  const length = size?.bodyLengthMm ?? 40;
  const thread = pot?.threadLengthMm ?? 12;
  const projection = m.projectionMm ?? (pot ? (pot.projectionMm[0] + pot.projectionMm[1]) / 2 : 2);
  const rear = tip - 3;
  const sheathEnd = rear - Math.max(thread - projection, 1);
  const threadEnd = Math.min(sheathEnd + projection, rear - 1);
  return {
    sheathR,
    jacketR: sheathR + (cable?.mineral?.jacketed ? (cable.sheathMm ?? 0) : 0),
    potR: sheathR + 4.5,
    bodyR,
    majorR: (threadOf(size?.thread ?? '')?.nominalMm ?? 20) / 2,
    wall,
    washer: washerMm > 0 ? [wall, shoulder] : null,
    shoulder,
    tip,
    nut: [shoulder + 0.45 * length, shoulder + length],
    rear,
    threadEnd,
    mouth: sheathEnd - MINERAL.cavityMm,
    sheathEnd,
    jacketCut: Math.max(rear + (pot?.gripMm ?? 20), shoulder + 0.7 * length),
    reach: Math.max(bodyR * 1.5, bodyR + 14),
  };
}

function drawEnd(pen: Pen, dossier: Dossier, e: End, stage: Stage): void {
  const { cable } = dossier;
  const seen = (look: string) => dossier.looks.get(look)?.answer ?? null;
  const mineral = cable?.mineral ?? null;
  const end = e.nut[1] + MINERAL.cableMm;
  const cut = stage.outerCut ? e.sheathEnd : e.mouth - MINERAL.tailMm;
  pen.polygon('conductor', rectangle(cut, -e.sheathR, end, e.sheathR), 'outer-sheath');
  pen.polygon(
    'sheath-inner',
    rectangle(cut, -e.sheathR + MINERAL.copperMm, end, e.sheathR - MINERAL.copperMm),
  );
  if (mineral?.jacketed) {
    pen.ring('sheath-outer', [stage.outerCut ? e.jacketCut : cut, end], e.sheathR, e.jacketR);
  }
  if (stage.outerCut) drawConductors(pen, dossier, e, stage, end);
  if (mineral?.screened && stage.outerCut) {
    pen.ring('armour', [e.sheathEnd - 7, e.sheathEnd], e.sheathR * 0.72, e.sheathR * 0.8);
    if (stage.drain) {
      pen.ring(
        'brass',
        [e.sheathEnd - 1 - MINERAL.drainMm, e.sheathEnd - 1],
        e.sheathR * 0.82,
        e.potR - MINERAL.potWallMm,
        'drain-wire',
      );
      const square = seen('drain-wire') !== 'touching';
      const y = e.potR - MINERAL.potWallMm - 1;
      pen.line('armour', [[e.sheathEnd - 2, y], [e.mouth + MINERAL.discMm, square ? y : e.sheathR * 0.4], [e.mouth - MINERAL.tailMm * 0.7, e.sheathR + 5]], { width: 1.4, place: 'drain-wire' }); // prettier-ignore
      pen.label('drain wire', [e.mouth - MINERAL.tailMm * 0.7, e.sheathR + 9], 'start', true);
    }
  }
  if (stage.pot) drawPot(pen, e, stage, seen('pot-filled'), seen('pot-square'));
  if (stage.inWall) {
    drawWall(pen, dossier, wallGeometry(e));
    gland(pen, e);
  } else if (stage.pot) pen.shifted(MINERAL.cableMm * 0.6, () => gland(pen, e));
  if (stage.nut) gripNut(pen, e);
  else pen.shifted(MINERAL.cableMm * 0.75, () => gripNut(pen, e));
  if (seen('shroud') === 'fitted' && stage.nut) {
    const r = e.bodyR + 1.4;
    const from = e.shoulder + 2;
    for (const side of [-1, 1]) {
      pen.line('shroud', [[from, side * r], [e.nut[1] + 2, side * r], [e.nut[1] + 10, side * (e.jacketR + 0.8)], [e.nut[1] + 16, side * (e.jacketR + 0.8)]], { width: 1.1 }); // prettier-ignore
    }
  }
}

/** What the wall's drawing asks of a gland's geometry. */
const wallGeometry = (e: End): Geometry =>
  ({
    wall: e.wall, majorR: e.majorR, glandMajorR: e.majorR, bodyR: e.bodyR, washer: e.washer, tag: null,
    adaptors: [], wallTip: e.tip, tip: e.tip, shoulder: e.shoulder, reach: e.reach,
  }) as unknown as Geometry; // prettier-ignore

function drawConductors(pen: Pen, { cable }: Dossier, e: End, stage: Stage, end: number): void {
  const names = cable?.mineral?.conductors ?? ['1', '2'];
  const drawn = Math.min(names.length, MINERAL.mostConductors);
  const bundle = e.sheathR * 0.62;
  const half = Math.min(1.1, (bundle / drawn) * 0.8);
  for (let i = 0; i < drawn; i++) {
    const share = drawn === 1 ? 0 : -1 + (2 * i) / (drawn - 1);
    const y = share * bundle;
    const tail = share * (e.sheathR + drawn * 1.2);
    const out = e.mouth - MINERAL.tailMm;
    const spine: Point[] = [[out, tail], [e.mouth - 9, tail], [e.mouth - 2, y], [end, y]]; // prettier-ignore
    const band = (r: number, points: Point[]) => [
      ...points.map(([x, v]): Point => [x, v - r]),
      ...points.map(([x, v]): Point => [x, v + r]).reverse(),
    ];
    pen.polygon('conductor', band(half * 0.6, spine), undefined, i);
    // Sleeves run from the disc to the conductors' ends.
    if (stage.filled) pen.polygon('core', band(half, [[out + 5, tail], [e.mouth - 9, tail], [e.mouth - 2, y], [e.mouth + MINERAL.discMm, y]]), undefined, i); // prettier-ignore
  }
}

function drawPot(pen: Pen, e: End, stage: Stage, filled: string | null, square: string | null): void {
  const tilt = square === 'tilted' ? 1.6 : 0;
  const inner = e.potR - MINERAL.potWallMm;
  pen.polygon('brass', [[e.mouth - tilt, -e.potR], [e.rear - tilt, -e.potR], [e.rear - tilt, -e.sheathR], [e.threadEnd, -e.sheathR], [e.threadEnd, -inner], [e.mouth - tilt, -inner]], 'pot-square'); // prettier-ignore
  pen.polygon('brass', [[e.mouth + tilt, e.potR], [e.rear + tilt, e.potR], [e.rear + tilt, e.sheathR], [e.threadEnd, e.sheathR], [e.threadEnd, inner], [e.mouth + tilt, inner]], 'pot-square'); // prettier-ignore
  for (const side of [-1, 1]) {
    const crests: Point[] = [];
    for (let x = e.threadEnd; x <= e.rear; x += 0.6)
      crests.push([x, side * (e.sheathR + (crests.length % 2) * 0.7)]);
    pen.line('dimension', crests, { place: 'pot-projection' });
  }
  if (!stage.filled) return;
  pen.ring('compound', [e.mouth + MINERAL.discMm, e.threadEnd], e.sheathR * 0.7, inner, 'pot-filled');
  pen.polygon(
    'compound',
    rectangle(e.mouth + MINERAL.discMm, -e.sheathR * 0.75, e.sheathEnd, e.sheathR * 0.75),
    'pot-filled',
    0,
  );
  if (filled === 'voids') {
    pen.polygon('void', circle(e.mouth + 8, -inner * 0.5, 1.1), 'pot-filled');
    pen.polygon('void', circle(e.mouth + 11, inner * 0.4, 0.8), 'pot-filled');
  }
  const home = filled === 'disc' ? -MINERAL.discMm : 0;
  pen.polygon(
    'rubber',
    rectangle(e.mouth + home, -inner, e.mouth + MINERAL.discMm + home, inner),
    'pot-filled',
  );
  // Crimped over the disc, at every point.
  const crimps = filled === 'crimp' ? [-1] : [-1, 1];
  for (const side of crimps)
    pen.polygon(
      'brass',
      rectangle(e.mouth - 0.9, side * (inner - 1.6), e.mouth, side * e.potR),
      'pot-filled',
    );
}

function gland(pen: Pen, e: End): void {
  const bore = Math.max(e.sheathR + 0.4, Math.min(e.jacketR + 0.3, e.majorR * 0.85));
  pen.ring('brass', [e.tip, e.shoulder], bore, e.majorR);
  pen.ring('brass', [e.shoulder, e.shoulder + 4], bore, e.bodyR);
  pen.ring('brass', [e.shoulder + 4, e.nut[0] + 1], bore, e.bodyR * 0.82);
}

function gripNut(pen: Pen, e: End): void {
  const [from, to] = e.nut;
  pen.both('brass', [[from + 1.4, -e.sheathR - 0.1], [from + 5, -e.sheathR - 0.1], [from + 4.2, -e.sheathR - 2.2], [from + 2.2, -e.sheathR - 2.2]], 'outer-sheath'); // prettier-ignore
  pen.ring('brass', [from, to], Math.min(e.sheathR + 2.4, e.bodyR - 1.5), e.bodyR);
  pen.ring('brass', [to - 4, to], e.jacketR + 0.6, Math.min(e.sheathR + 2.4, e.bodyR - 1.5));
}

/** The far end of a link, seen the other way round, and the sheath between as a broken line with its lengths. */
function drawFarEnd(pen: Pen, dossier: Dossier, e: End, stage: Stage, link: MineralLink | null): number {
  const other = new Pen();
  const sound = { ...dossier, looks: new Map() };
  drawEnd(other, sound, e, { ...FINISHED, inWall: stage.inWall });
  const near = e.nut[1] + MINERAL.cableMm;
  const right = near + 10 + near;
  const turned = (points: readonly Point[]) => points.map(([x, y]): Point => [right - x, y]);
  // Only the near end is touched and measured.
  for (const shape of other.shapes)
    pen.shapes.push({ ...shape, place: undefined, points: turned(shape.points) } as Shape);
  for (const x of [near + 3, near + 7]) {
    pen.line('dimension', [[x - 2, -e.sheathR - 3], [x, -1], [x - 2, 1], [x, e.sheathR + 3]], { width: 1.6, place: 'sheath-length' }); // prettier-ignore
  }
  const words = link ? linkWords(link) : ['path not recorded'];
  words.forEach((text, i) => pen.label(text, [near + 5, e.reach - 2 + 4.5 * i], 'middle', i > 0));
  return right - e.mouth + MINERAL.tailMm + 6;
}

const linkWords = (link: MineralLink): string[] => {
  const { sheathMm, cutMm } = linkLengths(link);
  const path = link.straightsMm.flatMap((mm, i) => {
    const bend = link.bends[i];
    return [
      `${figure(mm, 0)} mm`,
      ...(bend ? [`${figure(bend.angleDeg, 0)}° R ${figure(bend.radiusMm, 0)}`] : []),
    ];
  });
  return [
    `sheath ${figure(sheathMm, 1)} ± ${figure(link.fitMm, 1)} mm, cut ${figure(cutMm, 1)} mm`,
    path.join(', '),
  ];
};

function drawFigures(pen: Pen, dossier: Dossier, e: End): void {
  const { enclosure, entry, size } = dossier;
  const m = factsOf(dossier);
  const top = -e.reach - 9;
  pen.line('dimension', [[0, top], [e.wall, top]]); // prettier-ignore
  pen.label(wallWords(enclosure, entry), [e.wall + 2, top + 1], 'start');
  const proud = m.projectionMm;
  const y = -e.potR - 4;
  for (const x of [e.sheathEnd, e.threadEnd]) pen.line('dimension', [[x, y - 1.2], [x, -e.sheathR]], { place: 'pot-projection' }); // prettier-ignore
  pen.line('dimension', [[e.sheathEnd, y], [e.threadEnd, y]], { place: 'pot-projection' }); // prettier-ignore
  const right = size?.mineral ? `, ${size.mineral.projectionMm.map((x) => figure(x, 1)).join(' to ')} mm is right` : ''; // prettier-ignore
  const words = proud === null ? `proud not measured${right}` : `proud ${figure(proud)} mm`;
  pen.label(words, [e.sheathEnd - 1.5, y + 0.9], 'end', proud === null);
}

function describe({ entry, enclosure, size, cable }: Dossier, link: MineralLink | null): string {
  const mineral = cable?.mineral;
  const parts = [
    `Section of entry ${entry.label} of ${enclosure.tag}, ${kindTitle(entry.kind)}`,
    size ? `size ${size.size}, ${size.thread}` : 'size not named',
    mineral
      ? `${count(mineral.conductors.length, 'conductor')}${mineral.screened ? ', screened, with a drain wire' : ''}${mineral.jacketed ? ', with a jacket' : ''}`
      : 'cable not recorded as mineral insulated',
    ...(link ? linkWords(link) : []),
  ];
  return `${parts.join(', ')}.`;
}
