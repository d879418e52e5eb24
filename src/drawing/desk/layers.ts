import { figure } from '../../core/words/en/format';
import { Pen } from '../section/pen';
import { rectangle, type Drawing } from '../shapes';

/** Half widths of a cable, mm: as the record adds up, or as it was measured. */
interface Layers {
  innerMm: number;
  armourMm: number;
  sheathMm: number;
}

/** Above the axis the cable as its record adds up, below it as measured; both to the same scale. */
export function drawLayers(record: Layers, measured: { innerMm: number; outerMm: number }): Drawing {
  const pen = new Pen();
  const length = Math.max(measured.outerMm, record.innerMm + 2 * (record.armourMm + record.sheathMm)) * 1.6;
  const inner = record.innerMm / 2;
  const armour = inner + record.armourMm;
  const outer = armour + record.sheathMm;
  pen.polygon('sheath-outer', rectangle(0, -outer, length * 0.55, 0));
  pen.polygon('armour', rectangle(0, -armour, length * 0.75, 0));
  pen.polygon('sheath-inner', rectangle(0, -inner, length, 0));
  const found = measured.outerMm / 2;
  pen.polygon('sheath-outer', rectangle(0, 0, length * 0.55, found));
  pen.polygon('sheath-inner', rectangle(0, 0, length, measured.innerMm / 2));
  const reach = Math.max(outer, found);
  pen.line('axis', [[-2, 0], [length + 2, 0]], { dashed: true }); // prettier-ignore
  pen.label(`record: ${figure(2 * outer)} mm`, [length * 0.3, -outer - 2], 'middle');
  pen.label(`measured: ${figure(measured.outerMm)} mm`, [length * 0.3, found + 4.5], 'middle');
  return {
    shapes: pen.shapes,
    labels: pen.labels,
    anchors: [],
    box: [-3, -reach - 6, length + 3, reach + 7],
    description: `Cable as recorded, ${figure(2 * outer)} mm, over the cable as measured, ${figure(measured.outerMm)} mm.`,
  };
}
