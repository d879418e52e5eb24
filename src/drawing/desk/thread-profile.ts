import { THREAD } from '../proportions';
import type { Thread } from '../../core/gland/thread-table';
import { figure } from '../../core/words/en/format';
import { Pen } from '../section/pen';
import type { Drawing, Point } from '../shapes';

/** One profile over another, to scale: the thread as measured, and the one that it could be. */
export function drawThreads(measured: { majorMm: number; pitchMm: number }, other: Thread | null): Drawing {
  const pen = new Pen();
  const centre = measured.majorMm / 2;
  profile(pen, centre, measured.pitchMm, 0, 1);
  pen.label(
    `measured ${figure(measured.majorMm)} mm, pitch ${figure(measured.pitchMm)} mm`,
    [0, -4],
    'start',
  );
  if (other) {
    const taper = other.smallEndMm === null ? 0 : 1 / 32;
    profile(pen, other.nominalMm / 2, other.pitchMm, taper, -1, centre);
    pen.label(
      `${other.designation}: ${figure(other.nominalMm)} mm, pitch ${figure(other.pitchMm)} mm`,
      [0, 14.5],
      'start',
    );
  }
  return {
    shapes: pen.shapes,
    labels: pen.labels,
    anchors: [],
    box: [-2, -8, THREAD.lengthMm + 2, 17],
    description: `Thread of ${figure(measured.majorMm)} mm at a pitch of ${figure(measured.pitchMm)} mm${other ? `, held against ${other.designation}` : ''}.`,
  };
}

/** Crests and roots of half a section; the crest line of the measured thread lies at 0. */
function profile(
  pen: Pen,
  radius: number,
  pitch: number,
  taper: number,
  side: 1 | -1,
  against = radius,
): void {
  const base = side === 1 ? 0 : 5;
  const points: Point[] = [];
  for (let x = 0, i = 0; x <= THREAD.lengthMm + 1e-9; x += pitch / 2, i++) {
    const crest = base + (against - radius) + taper * x;
    points.push([x, i % 2 === 0 ? crest : crest + THREAD.depth * pitch]);
  }
  const last = points[points.length - 1]![0];
  pen.polygon(side === 1 ? 'brass' : 'wall', [...points, [last, base + 6.5], [0, base + 6.5]]);
}
