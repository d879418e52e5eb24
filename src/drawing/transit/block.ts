import { TRANSIT } from '../proportions';
import type { BlockState, SideState } from '../../core/rulebook/transit-found';
import { circle, rectangle, type Point } from '../shapes';
import type { Pen } from '../section/pen';

/** A half of a ring, above or below: how a half block looks from the face. */
function halfRing(x: number, y: number, inner: number, outer: number, up: boolean): Point[] {
  const arc = (r: number) =>
    Array.from({ length: TRANSIT.corners + 1 }, (_, i): Point => {
      const angle = (Math.PI * i) / TRANSIT.corners;
      return [x + r * Math.cos(angle), y + (up ? -1 : 1) * r * Math.sin(angle)];
    });
  return [...arc(outer), ...arc(inner).reverse()];
}

/**
 * One block from its face, to scale: the two halves with the layers that are left in each, the gap between
 * them where it shows, the cable, or the core of a spare block.
 *
 * @param at upper left corner, mm
 * @param place id that touching it asks for
 */
export function drawBlock(
  pen: Pen,
  state: BlockState,
  at: Point,
  side: 'jacket' | 'armour',
  place?: string,
): void {
  const [left, top] = at;
  const size = state.widthMm;
  const [x, y] = [left + size / 2, top + size / 2];
  pen.polygon('rubber', rectangle(left + 0.3, top + 0.3, left + size - 0.3, top + size - 0.3), place);
  const found = state.sides.find((one) => one.side === side) ?? state.sides[0] ?? null;
  if (state.block.cable === null || !found) {
    drawSpare(pen, state, x, y, place);
    return;
  }
  drawHalves(pen, state, found, x, y, place);
}

function drawSpare(
  pen: Pen,
  { block, sheet, widthMm }: BlockState,
  x: number,
  y: number,
  place?: string,
): void {
  const r = (sheet?.boreMm ?? widthMm * 0.35) / 2;
  if (block.core === false) pen.polygon('void', circle(x, y, r), place);
  else pen.polygon('core', circle(x, y, r), place, 4);
  pen.line('dimension', [[x - widthMm / 2 + 0.3, y], [x + widthMm / 2 - 0.3, y]], { place }); // prettier-ignore
}

function drawHalves(
  pen: Pen,
  state: BlockState,
  side: SideState,
  x: number,
  y: number,
  place?: string,
): void {
  const { sheet, widthMm } = state;
  const layers = side.layers ?? side.right?.layers ?? [0, 0];
  const full = sheet ? sheet.boreMm / 2 + sheet.layersPerHalf * sheet.layerMm : widthMm * 0.45;
  const outer = Math.min(full, widthMm / 2 - 0.6);
  const gap = Math.max(0, (side.found ?? side.right)?.gapMm ?? 0);
  [true, false].forEach((up, half) => {
    const inner = sheet ? sheet.boreMm / 2 + layers[half]! * sheet.layerMm : outer * 0.6;
    const dy = y + ((up ? -1 : 1) * gap) / 2;
    if (inner < outer) pen.polygon('dam', halfRing(x, dy, inner, outer, up), place);
    if (!sheet) return;
    // Every layer that is left is a line of its own: they can be counted.
    for (let k = layers[half]! + 1; k < sheet.layersPerHalf; k++) {
      const r = sheet.boreMm / 2 + k * sheet.layerMm;
      if (r < outer)
        pen.line('dimension', halfRing(x, dy, r, r, up).slice(0, TRANSIT.corners + 1), { place, width: 0.7 });
    }
  });
  const mm = side.cable?.meanMm ?? widthMm * 0.5;
  pen.polygon(side.side === 'armour' ? 'armour' : 'sheath-outer', circle(x, y, mm / 2), place);
  pen.polygon('sheath-inner', circle(x, y, mm * 0.32), place);
  if (gap > 0.05) {
    for (const sign of [-1, 1]) {
      pen.line('air', [[x + sign * (mm / 2), y], [x + sign * (widthMm / 2 - 0.3), y]], { place, width: Math.max(0.8, gap) }); // prettier-ignore
    }
  }
  if (side.faults.includes('daylight')) {
    pen.line('void', [[x - widthMm / 2 + 0.4, y], [x - mm / 2, y]], { place, width: 2 }); // prettier-ignore
  }
}
