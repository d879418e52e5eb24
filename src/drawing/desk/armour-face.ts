import { figure } from '../../core/words/en/format';
import { Pen } from '../section/pen';
import { circle, type Drawing } from '../shapes';

/** Wires round their bedding, to scale: what carries a fault. */
export function drawArmourFace(beddingMm: number, wireMm: number, wires: number): Drawing {
  const pen = new Pen();
  const centre = (beddingMm + wireMm) / 2;
  pen.polygon('sheath-inner', circle(0, 0, beddingMm / 2, 60));
  for (let i = 0; i < Math.min(wires, 240); i++) {
    const angle = (2 * Math.PI * i) / wires;
    pen.polygon('armour', circle(centre * Math.cos(angle), centre * Math.sin(angle), wireMm / 2, 16));
  }
  const reach = centre + wireMm + beddingMm * 0.18;
  pen.label(
    `${wires} wires of ${figure(wireMm)} mm on ${figure(beddingMm)} mm`,
    [0, reach - beddingMm * 0.02],
    'middle',
  );
  return {
    shapes: pen.shapes,
    labels: pen.labels,
    anchors: [],
    box: [-reach, -reach, reach, reach],
    description: `${wires} armour wires of ${figure(wireMm)} mm round a bedding of ${figure(beddingMm)} mm.`,
  };
}
