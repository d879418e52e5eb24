import { TRANSIT } from '../proportions';
import { compressionOf } from '../../core/rulebook/transit-found';
import { placedIn } from '../../core/rulebook/transit-sealed';
import type { FrameOpening } from '../../core/record/types';
import { kindOf, type Dossier } from '../../core/rulebook/dossier';
import type { OpeningState } from '../../core/rulebook/transit-records';
import { count, figure } from '../../core/words/en/format';
import { Pen } from '../section/pen';
import { circle, rectangle, type Drawing } from '../shapes';
import { drawBlock } from './block';
import { kindTitle } from '../../core/words/en/kinds/kinds';

/** Id of the place that a block is touched by. */
export const blockPlace = (opening: string, row: number, column: number, index: number): string =>
  `block ${opening} ${row} ${column} ${index}`;

/**
 * The face of a transit to scale: every opening with its rows, stay plates, blocks and wedge, or the cables in
 * their sealant.
 *
 * @param side which side of bonded blocks is seen
 */
export function drawTransit(dossier: Dossier, side: 'jacket' | 'armour' = 'jacket'): Drawing {
  const pen = new Pen();
  const frames = dossier.entry.frame?.openings ?? [
    { label: '1', shape: 'rect', widthMm: 120, heightMm: 180 } as const,
  ];
  const sealant = kindOf(dossier).transit === 'sealant';
  let left = 0;
  let bottom = 0;
  for (const frame of frames) {
    const state = dossier.transit?.openings.find(({ frame: of }) => of.label === frame.label) ?? null;
    drawFrame(pen, frame, left);
    if (state && sealant) drawSealed(pen, state, dossier, left);
    else if (state) drawRows(pen, state, dossier, left, side);
    else pen.label('not packed yet', [left + frame.widthMm / 2, frame.heightMm / 2], 'middle', true);
    pen.label(
      `opening ${frame.label}`,
      [left + frame.widthMm / 2, frame.heightMm + TRANSIT.frameMm + 8],
      'middle',
      true,
    );
    left += frame.widthMm + 2 * TRANSIT.frameMm + TRANSIT.apartMm;
    bottom = Math.max(bottom, frame.heightMm);
  }
  const right = left - TRANSIT.apartMm - TRANSIT.frameMm;
  return {
    shapes: pen.shapes,
    labels: pen.labels,
    anchors: [],
    box: [-TRANSIT.frameMm - 4, -TRANSIT.frameMm - 4, right + 4, bottom + TRANSIT.frameMm + 12],
    description: describe(dossier, frames),
  };
}

function drawFrame(pen: Pen, { shape, widthMm, heightMm }: FrameOpening, left: number): void {
  if (shape === 'round') {
    const [x, y] = [left + widthMm / 2, heightMm / 2];
    pen.polygon('wall', circle(x, y, widthMm / 2 + TRANSIT.frameMm, 48));
    pen.polygon('compound', circle(x, y, widthMm / 2, 48));
    return;
  }
  pen.polygon(
    'wall',
    rectangle(
      left - TRANSIT.frameMm,
      -TRANSIT.frameMm,
      left + widthMm + TRANSIT.frameMm,
      heightMm + TRANSIT.frameMm,
    ),
  );
  pen.polygon('air', rectangle(left, 0, left + widthMm, heightMm));
}

/** Rows from the far end, which lies below, to the wedge above. */
function drawRows(
  pen: Pen,
  { frame, packed, blocks }: OpeningState,
  dossier: Dossier,
  left: number,
  side: 'jacket' | 'armour',
): void {
  const sheet = dossier.certificate!.sheet.transit!;
  let base = frame.heightMm;
  packed.rows.forEach((row, r) => {
    let x = left;
    row.columns.forEach(({ widthMm, blocks: stack }, c) => {
      stack.forEach((_, i) => {
        const state = blocks.find((one) => one.row === r && one.column === c && one.index === i)!;
        drawBlock(pen, state, [x, base - widthMm * (i + 1)], side, blockPlace(frame.label, r, c, i));
      });
      x += widthMm;
    });
    base -= row.heightMm;
    if (row.plate !== false) {
      pen.polygon('brass', rectangle(left, base - sheet.stayPlateMm, left + frame.widthMm, base));
      base -= sheet.stayPlateMm;
    } else pen.label('no plate', [left + frame.widthMm + TRANSIT.frameMm + 1, base + 1], 'start');
  });
  const { leftMm, state } = compressionOf(frame, packed, sheet, blocks);
  if (base > 1) {
    pen.polygon('dam', rectangle(left + 2, 1, left + frame.widthMm - 2, base - 1), 'bolts-again');
    pen.label(`wedge, ${figure(leftMm, 1)} mm${state === 'fits' ? '' : ': out of its window'}`, [left + frame.widthMm / 2, base / 2 + 1.5], 'middle', state === 'fits'); // prettier-ignore
  }
}

function drawSealed(pen: Pen, { frame, packed }: OpeningState, dossier: Dossier, left: number): void {
  const round = frame.shape === 'round';
  if (!round) pen.polygon('compound', rectangle(left, 0, left + frame.widthMm, frame.heightMm), 'adhesion');
  const [ox, oy] = round ? [left + frame.widthMm / 2, frame.heightMm / 2] : [left, frame.heightMm];
  const sleeve = dossier.certificate?.sheet.transit?.sealant?.sleeve;
  for (const { xMm, yMm, diameterMm } of placedIn(packed, dossier.transit!.cables)) {
    const [x, y] = [ox + xMm, oy - yMm];
    const wall = sleeve ? (sleeve.outerMm - sleeve.innerMm) / 2 : 4;
    pen.line('dimension', [...circle(x, y, diameterMm / 2 + wall), [x + diameterMm / 2 + wall, y]], {
      dashed: true,
    });
    pen.polygon('sheath-outer', circle(x, y, diameterMm / 2));
    pen.polygon('sheath-inner', circle(x, y, diameterMm * 0.32));
  }
}

function describe(dossier: Dossier, frames: readonly FrameOpening[]): string {
  const { entry, enclosure, transit } = dossier;
  const said = frames.map(({ label, shape, widthMm, heightMm }) => {
    const state = transit?.openings.find(({ frame }) => frame.label === label);
    const held = state?.blocks.filter(({ block }) => block.cable !== null).length ?? 0;
    const sealed = state?.packed.cables.length ?? 0;
    const size =
      shape === 'round'
        ? `${figure(widthMm, 0)} mm wide`
        : `${figure(widthMm, 0)} by ${figure(heightMm, 0)} mm`;
    return `opening ${label}, ${size}, ${state ? count(held + sealed, 'cable') : 'not packed yet'}`;
  });
  return `Face of entry ${entry.label} of ${enclosure.tag}, ${kindTitle(dossier.entry.kind)}: ${said.join('; ')}.`;
}
