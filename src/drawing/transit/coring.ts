import { TRANSIT } from '../proportions';
import type { FrameOpening } from '../../core/record/types';
import type { Coring, Placed } from '../../core/rulebook/transit-sealed';
import { figure } from '../../core/words/en/format';
import { Pen } from '../section/pen';
import { circle, rectangle, type Drawing, type Point } from '../shapes';

/** A sealed opening from its face with the region shaded in which a hole may be cored, and the best place for it. */
export function drawCoring(opening: FrameOpening, cables: readonly Placed[], coring: Coring): Drawing {
  const pen = new Pen();
  const round = opening.shape === 'round';
  const [w, h] = [opening.widthMm, round ? opening.widthMm : opening.heightMm];
  // The face is drawn with y upwards, as it is measured.
  const at = ({ xMm, yMm }: { xMm: number; yMm: number }): Point =>
    round ? [w / 2 + xMm, h / 2 - yMm] : [xMm, h - yMm];
  if (round) pen.polygon('compound', circle(w / 2, h / 2, w / 2, 48));
  else pen.polygon('compound', rectangle(0, 0, w, h));
  const half = coring.cellMm / 2;
  for (const cell of coring.cells) {
    const [x, y] = at(cell);
    pen.polygon('air', rectangle(x - half, y - half, x + half, y + half));
  }
  for (const cable of cables) {
    const [x, y] = at(cable);
    pen.polygon('sheath-outer', circle(x, y, cable.diameterMm / 2));
    pen.polygon('sheath-inner', circle(x, y, cable.diameterMm * 0.32));
  }
  if (coring.best) {
    const [x, y] = at(coring.best);
    const ring = circle(x, y, coring.punchMm / 2);
    pen.line('void', [...ring, ring[0]!], { width: 2 });
    pen.label(`punch ${figure(coring.punchMm, 1)} mm`, [x, y + 1], 'middle');
  }
  return {
    shapes: pen.shapes,
    labels: pen.labels,
    anchors: [],
    box: [-TRANSIT.padMm, -TRANSIT.padMm, w + TRANSIT.padMm, h + TRANSIT.padMm],
    description: coring.best
      ? `A hole of ${figure(coring.punchMm, 1)} mm can be cored in the shaded part.`
      : `No room for a hole of ${figure(coring.punchMm, 1)} mm.`,
  };
}
