import type { BondedBlock, BondedMarks } from '../../core/transit/bonded-marks';
import { figure } from '../../core/words/en/format';
import { Pen } from '../section/pen';
import { rectangle, type Drawing } from '../shapes';

/** How far the cable is drawn on both sides of the block, and half heights across it, mm. Chosen: a block of 30 mm. */
const LOOK = { beyondMm: 26, block: 15, jacket: 8, armour: 6.4, inner: 4.6 };

/**
 * A cable in a bonded block, cut along its axis: jacket, contact of the armour, overhang and finish, to scale along the
 * cable; the jacket side lies left.
 */
export function drawBondedSection(sheet: BondedBlock, found: BondedMarks): Drawing {
  const pen = new Pen();
  const { blockDepthMm } = sheet;
  const [from, to] = sheet.braidMm;
  const armourMm = found.armourMm ?? blockDepthMm + LOOK.beyondMm;
  const right = Math.max(armourMm, blockDepthMm) + LOOK.beyondMm;
  pen.ring('rubber', [0, blockDepthMm], LOOK.jacket, LOOK.block);
  // Where the block leads the current, it lies on the armour.
  pen.ring('brass', [from, to], LOOK.armour, LOOK.jacket);
  pen.ring('rubber', [to, blockDepthMm], LOOK.armour, LOOK.jacket);
  pen.polygon('sheath-inner', rectangle(-LOOK.beyondMm, -LOOK.inner, right, LOOK.inner));
  pen.ring('armour', [-LOOK.beyondMm, armourMm], LOOK.inner, LOOK.armour);
  pen.ring('sheath-outer', [-LOOK.beyondMm, found.jacketMm], LOOK.armour, LOOK.jacket);
  if (found.finishMm) pen.ring('shroud', [...found.finishMm], LOOK.armour, LOOK.jacket);
  else pen.ring('sheath-outer', [found.secondMm ?? to, right], LOOK.armour, LOOK.jacket);
  pen.line('axis', [[-LOOK.beyondMm, 0], [right, 0]], { dashed: true }); // prettier-ignore
  const rows: [string, number, number][] = [
    ['jacket into the block', 0, found.jacketMm],
    ['contact', from, to],
    ['block', 0, blockDepthMm],
    ...(found.armourMm === null
      ? []
      : ([['past the block', blockDepthMm, found.armourMm]] as [string, number, number][])),
  ];
  rows.forEach(([words, a, b], i) =>
    pen.dimension([a, b], LOOK.block + 5 + i * 5, `${words} ${figure(b - a, 1)} mm`),
  );
  pen.label('jacket side', [-LOOK.beyondMm, -LOOK.block - 2], 'start', true);
  pen.label('armour side', [right, -LOOK.block - 2], 'end', true);
  const said = rows.map(([words, a, b]) => `${words} ${figure(b - a, 1)} mm`).join(', ');
  return {
    shapes: pen.shapes,
    labels: pen.labels,
    anchors: [],
    box: [-LOOK.beyondMm - 2, -LOOK.block - 7, right + 34, LOOK.block + 7 + rows.length * 5],
    description: `A cable in its bonded block, cut along: ${said}.`,
  };
}
