import { SECTION } from '../proportions';
import { threadOf } from '../../core/gland/thread-table';
import type { Dossier } from '../../core/rulebook/dossier';
import { figure } from '../../core/words/en/format';
import { rectangle, type Point } from '../shapes';
import type { Geometry, Span } from './geometry';
import type { Pen } from './pen';

/** Wall, washer, tag, adaptors, and the thread as far as it is engaged. */
export function drawWall(pen: Pen, { entry }: Dossier, g: Geometry): void {
  const { hole, adaptors } = entry;
  const clearance = hole.form === 'clearance';
  const holeR = clearance && hole.diameterMm ? hole.diameterMm / 2 : g.majorR;
  pen.ring('wall', [0, g.wall], holeR, g.reach, 'thread-engagement');
  if (g.washer) pen.ring('washer', g.washer, g.majorR + 0.3, Math.min(g.bodyR * 0.96, g.majorR + 6));
  if (g.tag) drawTag(pen, g.tag, g);
  if (clearance) pen.ring('brass', [-SECTION.locknutMm, 0], g.majorR - 0.6, g.majorR + 6);
  else
    thread(
      pen,
      [Math.max(0, g.wallTip), g.wall],
      g.majorR,
      threadOf(hole.thread ?? '')?.pitchMm ?? 1.5,
      hole.chamfersMm ?? 0,
    );
  const list = [...(adaptors ?? [])].reverse();
  g.adaptors.forEach(({ body, male, outerR, maleR }, i) => {
    const femaleR = (threadOf(list[i]!.female)?.nominalMm ?? g.glandMajorR * 2) / 2;
    const bore = Math.min(maleR * 0.8, femaleR * 0.9);
    pen.ring('brass', male, bore, maleR);
    pen.ring('brass', body, femaleR, outerR);
    thread(pen, body, femaleR, threadOf(list[i]!.female)?.pitchMm ?? 1.5, 0);
    pen.label(`${list[i]!.what} ${list[i]!.male}`, [body[0], -outerR - 2.5], 'start');
  });
}

/** Wall and washer under their dimension; what nobody recorded says so. */
export function wallWords(
  { wallMm }: Dossier['enclosure'],
  { washerMm }: Pick<Dossier['entry'], 'washerMm'>,
): string {
  const washer = washerMm !== null && washerMm > 0 ? `, washer ${figure(washerMm)} mm` : '';
  return wallMm === null ? `wall not recorded${washer}` : `wall ${figure(wallMm)} mm${washer}`;
}

/** The crests where male and female overlap, pitch by pitch. */
function thread(pen: Pen, [from, to]: Span, radius: number, pitch: number, chamfers: number): void {
  const start = from + chamfers / 2;
  const end = to - chamfers / 2;
  for (const side of [-1, 1]) {
    const points: Point[] = [];
    for (let x = start; x <= end + 1e-9; x += pitch / 2) {
      const crest = points.length % 2 === 0 ? 0.5 : -0.5;
      points.push([x, side * (radius + crest * pitch * 0.6)]);
    }
    if (points.length > 1) pen.line('dimension', points, { place: 'thread-engagement', width: 1.2 });
  }
}

/** An earth tag ring with its ear and bolt. */
function drawTag(pen: Pen, [from, to]: Span, g: Geometry): void {
  pen.ring('brass', [from, to], g.majorR + 0.3, g.majorR + 6);
  const ear = g.bodyR + 8;
  pen.polygon('brass', rectangle(from, -ear, to, -g.majorR - 6), 'bond');
  pen.polygon('brass', rectangle(from - 3, -ear + 1, to + 3, -ear + 4.5), 'bond');
  pen.label('earth tag', [to + 4, -ear + 4], 'start');
}
