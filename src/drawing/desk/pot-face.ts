import { figure } from '../../core/words/en/format';
import { Pen } from '../section/pen';
import { circle, type Drawing, type Point } from '../shapes';

/** Pot and cores from the box, to scale, the cores spread in rings. */
export function drawPotFace(
  boreMm: number,
  cores: readonly { count: number; diameterMm: number }[],
): Drawing {
  const pen = new Pen();
  const r = boreMm / 2;
  pen.polygon('brass', circle(0, 0, r * 1.16, 60));
  pen.polygon('compound', circle(0, 0, r, 60));
  place(cores, r).forEach(({ at: [x, y], d }, i) => {
    pen.polygon('core', circle(x, y, d / 2), undefined, i);
    pen.polygon('conductor', circle(x, y, d * 0.28));
  });
  pen.label(`bore ${figure(boreMm)} mm`, [0, r * 1.16 + r * 0.2], 'middle');
  const reach = r * 1.45;
  return {
    shapes: pen.shapes,
    labels: pen.labels,
    anchors: [],
    box: [-reach, -reach, reach, reach],
    description: `Pot of ${figure(boreMm)} mm with ${cores.reduce((sum, { count }) => sum + count, 0)} cores.`,
  };
}

/** One in the middle where there are many, the others on rings that leave room between them. */
function place(
  cores: readonly { count: number; diameterMm: number }[],
  r: number,
): { at: Point; d: number }[] {
  const list = cores.flatMap(({ count, diameterMm }) => Array<number>(Math.min(count, 60)).fill(diameterMm));
  list.sort((a, b) => b - a);
  const placed: { at: Point; d: number }[] = [];
  if (list.length === 1) return [{ at: [0, 0], d: list[0]! }];
  let rest = list;
  let ring = 0;
  while (rest.length > 0 && ring < 6) {
    const largest = rest[0]!;
    const radius = Math.max(r - largest * 0.62 - ring * largest * 1.12, 0);
    const fits =
      radius === 0
        ? 1
        : Math.max(1, Math.floor(Math.PI / Math.asin(Math.min(1, (largest * 1.08) / (2 * radius)))));
    const here = rest.slice(0, fits);
    here.forEach((d, i) => {
      const angle = (2 * Math.PI * i) / here.length - Math.PI / 2;
      placed.push({ at: [radius * Math.cos(angle), radius * Math.sin(angle)], d });
    });
    rest = rest.slice(fits);
    ring++;
  }
  return placed;
}
