import { SECTION } from '../proportions';
import type { Stage } from '../../core/makeoff/stage';
import { kindOf, type Dossier } from '../../core/rulebook/dossier';
import { circle, rectangle } from '../shapes';
import type { SectionFacts } from './facts';
import { coneTopR, housingR, overCone, type Geometry } from './geometry';
import type { Pen } from './pen';

/** The metal of a gland: male thread, body, middle nut, back nut. */
export function drawBody(pen: Pen, dossier: Dossier, m: SectionFacts, g: Geometry, stage: Stage): void {
  const { drawing } = kindOf(dossier);
  const away = stage.nut ? 0 : SECTION.slippedMm;
  if (drawing === 'industrial') {
    if (stage.body) industrialBody(pen, g);
    pen.shifted(stage.clamped ? 0 : SECTION.slippedMm, () => industrialNut(pen, g));
    return;
  }
  if (drawing === 'resin') {
    if (stage.body) resin(pen, m, g);
  } else {
    if (stage.body) glandBody(pen, g);
    if (stage.clamped) middleNut(pen, g);
    else pen.shifted(SECTION.slippedMm, () => middleNut(pen, g));
  }
  pen.shifted(away, () => backNut(pen, g));
}

/** Bore of the male thread: the pot, or what lets the inner sheath through. */
const maleBore = (g: Geometry): number =>
  g.pot ? g.pot.boreR : Math.min(g.glandMajorR * 0.82, Math.max(g.innerR + 0.6, g.glandMajorR * 0.62));

/** Where the middle nut begins: behind the entry part of the body. */
function entryEnd(g: Geometry): number {
  const flange = flangeEnd(g);
  const seal = g.innerSeal ?? g.diaphragm;
  return seal ? seal[1] + 1 : g.pot ? Math.max(g.pot.span[1] + 1.5, flange + 2) : flange + 6;
}

const flangeEnd = (g: Geometry): number => g.shoulder + Math.max(4, 0.1 * (g.nut[1] - g.shoulder));

function glandBody(pen: Pen, g: Geometry): void {
  const bore = maleBore(g);
  const flange = flangeEnd(g);
  pen.ring('brass', [g.tip, g.shoulder], bore, g.glandMajorR);
  pen.ring('brass', [g.shoulder, flange], bore, g.bodyR);
  const seal = g.innerSeal ?? g.diaphragm;
  const housing = seal ? housingR(g.innerR) : bore;
  pen.ring('brass', [flange, entryEnd(g)], housing, g.bodyR * 0.86);
  if (seal) pen.ring('brass', [flange, seal[0]], bore, housing);
}

function middleNut(pen: Pen, g: Geometry): void {
  const middleEnd = g.outerSeal[0] - 1;
  pen.ring('brass', [entryEnd(g), middleEnd], g.bodyR * 0.8, g.bodyR);
  pen.ring('brass', [middleEnd - 3, middleEnd], g.outerR + 1.2, g.bodyR * 0.8);
}

/** Radius of the outer thread on which an industrial gland's nut runs. */
const nutThreadR = (g: Geometry): number => Math.max(g.bodyR * 0.84, coneTopR(g) + g.armourT + 1);

/** Two parts only: the body with its cone … */
function industrialBody(pen: Pen, g: Geometry): void {
  const bore = maleBore(g);
  const flange = g.shoulder + 7;
  const [coneStart] = g.cone!;
  pen.ring('brass', [g.tip, g.shoulder], bore, g.glandMajorR);
  pen.ring('brass', [g.shoulder, flange], bore, g.bodyR);
  // The outer thread on which the nut runs, beside the cone: armour that lies here is not clamped.
  pen.ring('brass', [flange, coneStart], bore, nutThreadR(g));
}

/** … and the nut that clamps the armour with its own taper. */
function industrialNut(pen: Pen, g: Geometry): void {
  const [coneStart, coneEnd] = g.cone!;
  const threadR = nutThreadR(g);
  const from = g.shoulder + 8.2;
  const outerR = Math.max(g.bodyR, threadR + 2.5);
  const tail = outerR * 0.92;
  const [sealFrom] = g.outerSeal;
  const end = Math.max(g.nut[1] - g.gap, g.outerSeal[1] + 4);
  pen.both('brass', [
    [from, -outerR], [sealFrom - 1, -outerR], [sealFrom - 1, -tail], [end, -tail], [end, -g.outerR - 1],
    [end - 3.5, -g.outerR - 1], [end - 3.5, -housingR(g.outerR)], [sealFrom - 0.4, -housingR(g.outerR)],
    [sealFrom - 0.4, -g.outerR - 1], [coneEnd + 4, -g.outerR - 1], [coneEnd + 1, -overCone(g, coneEnd)],
    [g.armourEnd!, -overCone(g, g.armourEnd!)], [coneStart + 0.6, -threadR - 0.4], [from, -threadR - 0.4],
  ]); // prettier-ignore
}

/** One body with the resin chamber and its port, a stop for the armour, and the grommet nut. */
function resin(pen: Pen, m: SectionFacts, g: Geometry): void {
  const bore = maleBore(g);
  const stop = (g.pot?.span[1] ?? g.shoulder + 14) + 1;
  const flange = g.shoulder + 6;
  pen.ring('brass', [g.tip, g.shoulder], bore, g.glandMajorR);
  pen.ring('brass', [g.shoulder, flange], bore, g.bodyR);
  const armourR = g.innerR + g.armourT;
  const portAt = Math.max(flange + 4, (g.pot?.span[1] ?? flange + 10) - 6);
  // Above: the port, through which the resin is injected. Below: the body is whole.
  pen.polygon('brass', rectangle(flange, -g.bodyR * 0.9, portAt - 2, -bore));
  pen.polygon('brass', rectangle(portAt + 2, -g.bodyR * 0.9, stop + 3, -bore));
  pen.polygon('brass', rectangle(portAt - 4, -g.bodyR * 0.9 - 4, portAt - 2, -g.bodyR * 0.9));
  pen.polygon('brass', rectangle(portAt + 2, -g.bodyR * 0.9 - 4, portAt + 4, -g.bodyR * 0.9));
  pen.polygon('brass', rectangle(flange, bore, stop + 3, g.bodyR * 0.9));
  if (m.packed && m.seen('resin-dam') !== 'short') {
    pen.polygon('resin', rectangle(portAt - 2, -g.bodyR * 0.9 - 2.5, portAt + 2, -bore), 'resin-dam');
  }
  pen.label('port', [portAt, -g.bodyR * 0.9 - 6], 'middle', true);
  const middleEnd = g.outerSeal[0] - 1;
  pen.ring('brass', [stop + 3, middleEnd], Math.max(armourR + 2.6, bore + 1), g.bodyR * 0.9);
  // Fingers that grip the ridges of the armour.
  for (const x of [stop + 4, stop + 7.5])
    pen.ring('brass', [x, x + 2], armourR + 0.2, armourR + 2.6, 'armour');
  pen.ring('brass', [middleEnd - 3, middleEnd], g.outerR + 1, Math.max(armourR + 2.6, bore + 1));
}

function backNut(pen: Pen, g: Geometry): void {
  const [start, end] = g.nut;
  pen.ring('brass', [start, end], housingR(g.outerR), g.bodyR);
  pen.ring('brass', [end - 4, end], g.outerR + 1, housingR(g.outerR));
}

/** A cover over the gland, as it was seen: on, or slipped back. */
export function drawShroud(pen: Pen, m: SectionFacts, g: Geometry): void {
  const seen = m.seen('shroud');
  if (seen !== 'fitted' && seen !== 'cut') return;
  const r = g.bodyR + 1.6;
  const from = seen === 'fitted' ? g.shoulder + 1 : g.shoulder + 0.45 * (g.nut[1] - g.shoulder);
  const end = g.nut[1];
  for (const side of [-1, 1]) {
    pen.line('shroud', [[from, side * r], [end + 2, side * r], [end + 9, side * (g.outerR + 0.8)], [end + 15, side * (g.outerR + 0.8)]], { width: 1.1 }); // prettier-ignore
  }
  pen.label('shroud', [end + 10, g.outerR + 6], 'start', true);
}

/** Bubbles that stand for voids in compound. */
export const bubbles = (from: number, to: number, r: number) => [
  circle(from + (to - from) * 0.3, -r * 0.55, 1.1),
  circle(from + (to - from) * 0.62, r * 0.4, 0.9),
  circle(from + (to - from) * 0.8, -r * 0.2, 0.7),
];
