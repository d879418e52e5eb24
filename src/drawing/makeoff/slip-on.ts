import { SLIP_ON } from '../proportions';
import type { Part } from '../../core/kinds/steps';
import { Pen } from '../section/pen';
import { rectangle, type Drawing, type Material, type Point } from '../shapes';
import { PART_WORDS, partAndWay } from '../../core/words/en/kinds/steps';

/** How a part is drawn from the side: its material, and the half heights of its two ends; the box lies left. */
const SHAPES: Record<string, { material: Material; left: number; right: number; length: number }> = {
  shroud: { material: 'shroud', left: 13, right: 7, length: 22 },
  'back-nut': { material: 'brass', left: 11.5, right: 11.5, length: 13 },
  'middle-nut': { material: 'brass', left: 11.5, right: 11.5, length: 15 },
  ring: { material: 'brass', left: 8, right: 9.6, length: 8 },
  tag: { material: 'brass', left: 12, right: 12, length: 3 },
};

/**
 * The parts on the cable in the order in which they are slipped on, the first one furthest from the end; each
 * with its number and an arrow for the way that it goes on.
 *
 * @param next id of the part that is to be slipped on now; drawn beside the end
 */
export function drawSlipOn(parts: readonly Part[], next: string | null): Drawing {
  const pen = new Pen();
  const right = parts.length * SLIP_ON.stepMm + 12;
  const end = -14;
  pen.polygon('sheath-outer', rectangle(end, -SLIP_ON.cableRadiusMm, right, SLIP_ON.cableRadiusMm));
  pen.line('axis', [[end - 6, 0], [right, 0]], { dashed: true }); // prettier-ignore
  const waiting = parts.findIndex(({ id }) => id === next);
  parts.forEach(({ id, words }, i) => {
    const off = waiting >= 0 && i > waiting;
    const x = (parts.length - 1 - i) * SLIP_ON.stepMm + 4;
    const shape = SHAPES[id] ?? SHAPES['back-nut']!;
    if (off) return;
    outline(pen, x, shape, id);
    // Neighbours’ words stand in rows of their own.
    pen.label(`${i + 1} ${PART_WORDS[words]!.title}`, [x, -16 - (i % 2) * 5], 'start', id !== next);
    if (id === next) arrow(pen, x + shape.length + 2);
  });
  pen.label('cable end', [end, 14], 'start', true);
  pen.label('to the box', [end - 4, -1.5], 'end', true);
  const said = parts.map(partAndWay).join('; ');
  return {
    shapes: pen.shapes,
    labels: pen.labels,
    anchors: [],
    box: [end - 30, -25, right + 34, 17],
    description: `Slipped on in this order: ${said}.`,
  };
}

function outline(
  pen: Pen,
  x: number,
  { material, left, right, length }: (typeof SHAPES)[string],
  id: string,
): void {
  const points: Point[] = [[x, -left], [x + length, -right], [x + length, right], [x, left]]; // prettier-ignore
  if (material === 'shroud') pen.line('shroud', [...points, points[0]!], { width: 1.1 });
  else pen.polygon(material, points);
  // The outer seal sits in the back nut, towards the box.
  if (id === 'back-nut') pen.polygon('rubber', rectangle(x - 3.5, -9, x, 9));
  if (id === 'middle-nut') {
    for (const dx of [1, 3, 5]) pen.line('dimension', [[x + dx, -left], [x + dx - 1.2, left]]); // prettier-ignore
  }
}

/** Which way it is pushed: onto the cable, away from the box. */
function arrow(pen: Pen, x: number): void {
  pen.line('void', [[x, -10], [x + 9, -10], [x + 6, -12.4]], { width: 2.4 }); // prettier-ignore
  pen.line('void', [[x + 9, -10], [x + 6, -7.6]], { width: 2.4 }); // prettier-ignore
}
