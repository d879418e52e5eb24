import { SECTION } from '../proportions';
import { threadOf } from '../../core/gland/thread-table';
import { FINISHED, type Stage } from '../../core/makeoff/stage';
import { kindOf, type Dossier } from '../../core/rulebook/dossier';
import { count, figure } from '../../core/words/en/format';
import type { Drawing } from '../shapes';
import { drawArmour } from './armour';
import { drawBody, drawShroud } from './body';
import { drawCores, drawSheaths } from './cable';
import { factsOf, type SectionFacts } from './facts';
import { coneTopR, geometryOf, housingR, type Geometry, type Span } from './geometry';
import { Pen } from './pen';
import { drawPot, drawVoids, drawWitness } from './pot';
import { drawSeals } from './seals';
import { drawWall, wallWords } from './wall';
import { kindTitle } from '../../core/words/en/kinds/kinds';

/**
 * A gland or connector in section, to scale: wall and thread as engaged, washer and adaptors, seals against
 * the sheaths as measured, armour and ring as recorded and seen, compound as packed, back-nut gap.
 *
 * @param stage how far the work has come; what is not in its place yet lies further out on the cable
 */
export function drawSection(dossier: Dossier, stage: Stage = FINISHED): Drawing {
  const m = factsOf(dossier);
  const g = atStage(geometryOf(dossier, m), stage);
  const pen = new Pen();
  drawSheaths(pen, dossier, g);
  if (stage.body) drawPot(pen, dossier, m, g);
  if (stage.innerCut) drawCores(pen, dossier, m, g);
  drawVoids(pen, m, g);
  if (stage.inWall) drawWall(pen, dossier, g);
  drawBody(pen, dossier, m, g, stage);
  drawSeals(pen, dossier, m, g, stage);
  drawArmour(pen, dossier, m, g, stage);
  drawShroud(pen, m, g);
  if (m.packed && kindOf(dossier).pot === 'compound') drawWitness(pen, m, g);
  const left = -SECTION.tailMm - 6;
  const right = g.nut[1] + SECTION.cableMm;
  pen.line('axis', [[left, 0], [right, 0]], { dashed: true }); // prettier-ignore
  if (stage.nut) drawDimensions(pen, dossier, m, g);
  if (stage.inWall) pen.label('inside', [left + 1, g.reach - 1], 'start', true);
  pen.label('outside', [right - 1, g.reach - 1], 'end', true);
  return {
    shapes: pen.shapes,
    labels: pen.labels,
    anchors: anchorsOf(g),
    box: [left, -g.reach - 12, right, g.reach],
    description: describe(dossier, m, g),
  };
}

/** Sheaths that are not cut yet run to the end of the cable. */
function atStage(g: Geometry, { outerCut, innerCut }: Stage): Geometry {
  const end = -SECTION.tailMm - 4;
  return { ...g, sheathCut: outerCut ? g.sheathCut : end, innerCut: innerCut ? g.innerCut : end };
}

const middle = ([a, b]: Span) => (a + b) / 2;

/** Where the leader of each place leaves its part. */
function anchorsOf(g: Geometry): Drawing['anchors'] {
  const anchors: Drawing['anchors'] = [];
  const inner = g.innerSeal ?? g.diaphragm;
  if (inner)
    anchors.push({ place: 'inner-sheath', at: [middle(inner), housingR(g.innerR) * 0.5 + g.innerR * 0.5] });
  if (g.pot) anchors.push({ place: 'over-cores', at: [g.pot.crotch - 1, g.pot.boreR * 0.5] });
  if (g.ring) anchors.push({ place: 'armour', at: [middle(g.ring), coneTopR(g) + g.armourT + 1.5] });
  else if (g.cone) anchors.push({ place: 'armour', at: [middle(g.cone), coneTopR(g) + g.armourT / 2] });
  else if (g.armourEnd !== null)
    anchors.push({ place: 'armour', at: [g.armourEnd + 6, g.innerR + g.armourT] });
  anchors.push({
    place: 'outer-sheath',
    at: [middle(g.outerSeal), housingR(g.outerR) * 0.5 + g.outerR * 0.5],
  });
  return anchors;
}

/** Dimensions over the section, in rows so that their words do not meet. */
function drawDimensions(pen: Pen, { entry, enclosure, size }: Dossier, m: SectionFacts, g: Geometry): void {
  const row = (i: number) => g.bodyR + 5.5 + 4.5 * i;
  const pitch = threadOf(size?.thread ?? '')?.pitchMm ?? 1.5;
  const threads =
    m.engagedMm === null
      ? 'thread not measured'
      : `${figure(m.engagedMm)} mm, ${count(Math.floor(m.engagedMm / pitch + 1e-9), 'thread')}`;
  const top = -g.reach - 9;
  pen.line('dimension', [[0, top], [g.wall, top]]); // prettier-ignore
  for (const x of [0, g.wall]) pen.line('dimension', [[x, top - 1.2], [x, top + 1.2]]); // prettier-ignore
  pen.label(wallWords(enclosure, entry), [g.wall + 2, top + 1], 'start');
  pen.label(threads, [g.wall + 2, top + 5.5], 'start', m.engagedMm === null);
  const from = g.nut[0] - g.gap;
  const gapWords =
    m.gapMm !== null
      ? `gap ${figure(m.gapMm)} mm`
      : m.rightGapMm !== null
        ? `gap not measured, ${figure(m.rightGapMm)} mm is right`
        : 'gap not measured';
  if (size === null || size.backNut) {
    pen.dimension([from, g.nut[0]], -g.bodyR - 5.5, gapWords, 'back-nut-gap', m.gapMm === null);
  }
  const face = g.innerSeal?.[0] ?? g.diaphragm?.[0];
  if (face !== undefined && m.proudMm !== null) {
    pen.dimension([g.innerCut, face], row(0), `proud ${figure(m.proudMm)} mm`, 'inner-proud');
  }
  if (g.pot && m.reachMm !== null) {
    pen.dimension([g.pot.far, g.pot.crotch], row(0), `compound ${figure(m.reachMm)} mm`, 'compound-reach');
  }
  if (g.armourEnd !== null && m.armourLengthMm !== null) {
    pen.dimension(
      [g.armourEnd, g.sheathCut],
      row(1),
      `armour ${figure(m.armourLengthMm)} mm`,
      'armour-length',
    );
  }
}

function describe(dossier: Dossier, m: SectionFacts, g: Geometry): string {
  const { entry, size, cable, enclosure } = dossier;
  const mm = (what: string, value: number | null) =>
    value === null ? `${what} not measured` : `${what} ${figure(value)} mm`;
  const kind = kindOf(dossier);
  const parts = [
    `Section of entry ${entry.label} of ${enclosure.tag}, ${kindTitle(kind.id)}`,
    size ? `size ${size.size}, ${size.thread}` : 'size not named',
    `wall ${figure(g.wall)} mm`,
    m.engagedMm === null ? 'thread engagement not measured' : `${figure(m.engagedMm)} mm of thread engaged`,
    ...(entry.adaptors?.length ? [count(entry.adaptors.length, 'adaptor')] : []),
    ...(g.pot ? [m.packed ? 'pot packed' : 'pot empty'] : [mm('inner sheath', m.innerMm)]),
    ...(kind.armour === 'none' ? [] : [mm('armour', m.armourMm)]),
    ...(m.ring ? [`ring face ${m.ring.face} ${m.ring.right ? 'right' : 'wrong'} for the armour`] : []),
    mm('outer sheath', m.outerMm),
    mm('back-nut gap', m.gapMm),
    cable ? `cable ${cable.tag}` : 'no cable recorded',
  ];
  return `${parts.join(', ')}.`;
}
