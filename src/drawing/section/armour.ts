import { SECTION } from '../proportions';
import type { Stage } from '../../core/makeoff/stage';
import { kindOf, type Dossier } from '../../core/rulebook/dossier';
import type { ArmourType } from '../../core/record/types';
import type { Point } from '../shapes';
import type { SectionFacts } from './facts';
import { coneTopR, overCone, type Geometry } from './geometry';
import type { Pen } from './pen';

/** Armour from the cable to the cone or the stop, with the ring that holds it. */
export function drawArmour(pen: Pen, dossier: Dossier, m: SectionFacts, g: Geometry, stage: Stage): void {
  const kind = kindOf(dossier);
  const type = dossier.cable?.armour?.type ?? null;
  if (kind.armour === 'gripped') {
    if (type !== null) ridges(pen, g, g.armourEnd!);
    return;
  }
  if (kind.armour === 'none') {
    // An armour that the gland does not clamp ends bare in front of it.
    if (type !== null) loose(pen, g);
    return;
  }
  if (stage.body) drawCone(pen, g);
  // Armour that is still under the sheath does not show.
  if (type !== null && stage.outerCut) {
    if (stage.spread) onCone(pen, m, g, type);
    else straight(pen, g, type);
  }
  if (stage.clamped) drawRing(pen, dossier, m, g);
  else pen.shifted(SECTION.slippedMm, () => drawRing(pen, dossier, m, g));
}

function drawCone(pen: Pen, g: Geometry): void {
  const [from, to] = g.cone!;
  const top = coneTopR(g);
  const foot = g.innerR + 0.8;
  pen.both('brass', [[from, -g.innerR - 0.5], [from, -top], [from + (to - from) * 0.35, -top], [to, -foot], [to, -g.innerR - 0.5]]); // prettier-ignore
}

function onCone(pen: Pen, m: SectionFacts, g: Geometry, type: ArmourType): void {
  const [from, to] = g.cone!;
  const top = coneTopR(g);
  const ride = g.armourT / 2;
  const seen = m.seen('armour-seated');
  const end = g.nut[1] + SECTION.cableMm;
  const dashed = type === 'wire';
  for (const side of [-1, 1]) {
    const tail: Point[] = [
      [g.sheathCut - 2, side * (g.innerR + ride)],
      [end, side * (g.innerR + ride)],
    ];
    const head: Point[] =
      seen === 'inside'
        ? [[from - 2, side * (g.innerR - ride * 0.2)], [to, side * (g.innerR + ride * 0.3)]]
        : seen === 'beside'
          ? [[from - 6, side * (top + ride + 3.4)], [from + 2, side * (top + ride + 3.4)], [to, side * (g.innerR + 0.8 + ride)]]
          : [[g.armourEnd!, side * (top + ride)], [to, side * (g.innerR + 0.8 + ride)]]; // prettier-ignore
    // Under the crossing of two wires the second rides on the first.
    const lifted =
      seen === 'crossed' && side === -1 ? head.map(([x, y]): Point => [x, y + side * g.armourT]) : head;
    pen.line('armour', [...lifted, ...tail], { place: 'armour', dashed, width: g.armourT });
    if (lifted !== head)
      pen.line('armour', [...head, ...tail], { place: 'armour', dashed, width: g.armourT });
  }
  if (seen && seen !== 'yes')
    pen.label(`armour ${SEEN[seen] ?? seen}`, [(from + to) / 2, -g.bodyR - 8], 'middle');
}

/** Armour that is cut and lies on the inner sheath as it grew. */
function straight(pen: Pen, g: Geometry, type: ArmourType): void {
  const end = g.nut[1] + SECTION.cableMm;
  for (const side of [-1, 1]) {
    const y = side * (g.innerR + g.armourT / 2);
    pen.line('armour', [[g.armourEnd!, y], [end, y]], { place: 'armour', dashed: type === 'wire', width: g.armourT }); // prettier-ignore
  }
}

const SEEN: Record<string, string> = {
  inside: 'inside the cone',
  beside: 'beside the cone',
  crossed: 'crossed',
  broken: 'broken',
};

/** Wedge over the armour. A ring with two faces shows what the face in use holds, strands or a weave. */
function drawRing(pen: Pen, dossier: Dossier, m: SectionFacts, g: Geometry): void {
  if (!g.ring) return;
  const [from, to] = g.ring;
  const lift = coneTopR(g) + g.armourT;
  const backwards =
    m.seen('ring-thick-end') === 'no' ||
    (m.ring !== null && !m.ring.right && kindOf(dossier).ring === 'reversible');
  const top = lift + 3;
  // Its bore follows the cone when it lies right, and stands against it when it lies the other way.
  const wedge: Point[] = backwards
    ? [[from, -top], [from, -lift - 0.2], [to, -lift - 0.2], [to, -top]]
    : [[from, -top], [from, -overCone(g, from)], [g.armourEnd!, -lift], [to, -overCone(g, to)], [to, -top]]; // prettier-ignore
  pen.both('brass', wedge, 'armour');
  if (!m.ring) return;
  for (const y of [-lift - 1.5, lift + 1.5]) faceMark(pen, m.ring.holds, [(from + to) / 2, y]);
  if (m.ring.right) return;
  const words = kindOf(dossier).ring === 'dedicated' ? 'ring' : 'face';
  pen.label(
    `${words} for ${m.ring.holds ?? m.ring.face}: wrong for this armour`,
    [(from + to) / 2, -g.bodyR - 8],
    'middle',
  );
}

/** What a face holds, drawn on it: strands for wires, a weave for braid, a band for tape. */
function faceMark(pen: Pen, holds: ArmourType | null, [x, y]: Point): void {
  const line = (points: Point[]) => pen.line('dimension', points, { width: 0.5 });
  if (holds === 'braid') {
    for (const dx of [-1.6, 0, 1.6]) {
      line([[x + dx - 0.8, y - 0.9], [x + dx + 0.8, y + 0.9]]); // prettier-ignore
      line([[x + dx - 0.8, y + 0.9], [x + dx + 0.8, y - 0.9]]); // prettier-ignore
    }
    return;
  }
  if (holds === 'tape') return line([[x - 2.2, y - 0.8], [x + 2.2, y - 0.8], [x + 2.2, y + 0.8], [x - 2.2, y + 0.8], [x - 2.2, y - 0.8]]); // prettier-ignore
  for (const dy of [-0.8, 0, 0.8]) line([[x - 2.2, y + dy], [x + 2.2, y + dy]]); // prettier-ignore
}

/** Corrugated or interlocked armour: ridges up to the stop of the body. */
function ridges(pen: Pen, g: Geometry, from: number): void {
  const end = g.nut[1] + SECTION.cableMm;
  const pitch = Math.max(2.4, g.armourT * 1.6);
  for (const side of [-1, 1]) {
    const points: Point[] = [];
    for (let x = from, i = 0; x <= end; x += pitch / 2, i++) {
      points.push([x, side * (i % 2 === 0 ? g.innerR + g.armourT - 0.3 : g.innerR + 0.4)]);
    }
    pen.line('armour', points, { place: 'armour', width: 0.8 });
  }
}

function loose(pen: Pen, g: Geometry): void {
  const end = g.nut[1] + SECTION.cableMm;
  for (const side of [-1, 1]) {
    const y = side * (g.innerR + g.armourT / 2);
    pen.line('armour', [[g.sheathCut - 6, y], [end, y]], { dashed: true, width: g.armourT }); // prettier-ignore
  }
  pen.label('armour not clamped', [g.sheathCut - 6, -g.bodyR - 10], 'start');
}
