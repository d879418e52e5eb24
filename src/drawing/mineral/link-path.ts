import { LINK } from '../proportions';
import { linkPath, type Bend, type PathPoint } from '../../core/mineral/link';
import { figure } from '../../core/words/en/format';
import { Pen } from '../section/pen';
import { rectangle, type Drawing, type Point } from '../shapes';

/**
 * The path of a link as it is entered, to scale in its plane: straights, bends, an accessory at each end, and
 * how far the second end may lie off.
 *
 * @param toleranceMm expanded uncertainty of the sheath length, mm
 */
export function drawLinkPath(
  straightsMm: readonly number[],
  bends: readonly (Bend & { right?: boolean })[],
  toleranceMm: number,
): Drawing {
  const pen = new Pen();
  const points = linkPath(straightsMm, bends).map(({ x, y }): Point => [x, y]);
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const span = Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys), 1);
  const box = span * LINK.boxShare;
  pen.line('armour', points, { width: span * 0.008 });
  pen.line('axis', points, { dashed: true });
  const [first, last] = [points[0]!, points[points.length - 1]!];
  const before = points[points.length - 2] ?? first;
  for (const [x, y] of [first, last])
    pen.polygon('wall', rectangle(x - box / 2, y - box / 2, x + box / 2, y + box / 2));
  straightsMm.forEach((mm, i) => {
    const [from, to] = straightEnds(straightsMm, bends, i);
    const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
    // Beside the middle of its straight, on the outer side of the first bend.
    const [nx, ny] = [(to.y - from.y) / length, -(to.x - from.x) / length];
    const side = nx >= 0 ? 1 : -1;
    const at: Point = [
      (from.x + to.x) / 2 + side * nx * box * 0.3,
      (from.y + to.y) / 2 + side * ny * box * 0.3,
    ];
    pen.label(`${figure(mm, 0)} mm`, at, Math.abs(nx) < 0.1 ? 'middle' : 'start', true);
  });
  drawParts(pen, points, box);
  // The stretch along the last straight in which the end may lie.
  const heading = Math.atan2(last[1] - before[1], last[0] - before[0]);
  const along = (mm: number): Point => [last[0] + Math.cos(heading) * mm, last[1] + Math.sin(heading) * mm];
  pen.line('void', [along(-toleranceMm), along(toleranceMm)], { width: 4 });
  pen.label('first end', [first[0], first[1] + box * 1.6], 'middle', true);
  pen.label(`second end ± ${figure(toleranceMm, 1)} mm`, [last[0], last[1] + box * 1.6], 'middle', true);
  const pad = box * 3;
  return {
    shapes: pen.shapes,
    labels: pen.labels,
    anchors: [],
    box: [Math.min(...xs) - pad, Math.min(...ys) - pad, Math.max(...xs) + pad, Math.max(...ys) + pad],
    description: `Path of ${straightsMm.length} straights and ${bends.length} bends; the second end may lie off by ${figure(toleranceMm, 1)} mm.`,
  };
}

/** Both ends of one straight of the path. */
function straightEnds(
  straightsMm: readonly number[],
  bends: readonly (Bend & { right?: boolean })[],
  i: number,
): [PathPoint, PathPoint] {
  const upTo = linkPath(straightsMm.slice(0, i + 1), bends.slice(0, i));
  return [upTo[upTo.length - 2]!, upTo[upTo.length - 1]!];
}

/** At each end the pot's tail inside its box, and a shroud on the path whose wide end opens to its own accessory. */
function drawParts(pen: Pen, points: readonly Point[], box: number): void {
  const ends: [at: Point, towards: Point][] = [
    [points[0]!, points[1]!],
    [points[points.length - 1]!, points[points.length - 2]!],
  ];
  for (const [at, towards] of ends) {
    const length = Math.hypot(towards[0] - at[0], towards[1] - at[1]) || 1;
    const [ux, uy] = [(towards[0] - at[0]) / length, (towards[1] - at[1]) / length];
    const on = (along: number, across: number): Point => [at[0] + ux * along - uy * across, at[1] + uy * along + ux * across]; // prettier-ignore
    const [wide, narrow] = [box * 0.34, box * 0.14];
    pen.line('shroud', [on(box * 0.9, wide), on(box * 1.7, narrow), on(box * 1.7, -narrow), on(box * 0.9, -wide), on(box * 0.9, wide)], { width: 1.2 }); // prettier-ignore
    pen.polygon('brass', [on(-box * 0.3, box * 0.16), on(box * 0.2, box * 0.16), on(box * 0.2, -box * 0.16), on(-box * 0.3, -box * 0.16)]); // prettier-ignore
    for (const side of [-0.08, 0.08]) pen.line('conductor', [on(-box * 0.3, box * side), on(-box * 0.5, box * side * 2)], { width: 1.4 }); // prettier-ignore
  }
}
