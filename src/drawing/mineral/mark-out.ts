import { MARK_OUT } from '../proportions';
import type { EndMarks } from '../../core/mineral/marks';
import { figure } from '../../core/words/en/format';
import { Pen } from '../section/pen';
import { rectangle, type Drawing } from '../shapes';

/** Marks of a mineral-insulated end on a ruler from the square cut, in millimetres: printed at its size it is laid along the cable. */
export function drawMarkOut(marks: EndMarks, jacketed: boolean): Drawing {
  const pen = new Pen();
  const { stripMm, stopMm, potMm, screenMm, jacketMm } = marks;
  const rows: [title: string, mm: number][] = [
    ...(screenMm === null ? [] : ([['Cut the screen', screenMm]] as [string, number][])),
    ['Strip', stripMm],
    ['Pot’s rear', potMm],
    ['Tool’s stop', stopMm],
    ...(jacketed ? ([['Jacket back to', jacketMm]] as [string, number][]) : []),
  ];
  const last = Math.max(...rows.map(([, mm]) => mm));
  const end = last + MARK_OUT.beyondMm;
  pen.polygon('sheath-inner', rectangle(0, -MARK_OUT.radiusMm * 0.5, stripMm, MARK_OUT.radiusMm * 0.5));
  for (const y of [-MARK_OUT.radiusMm * 0.2, MARK_OUT.radiusMm * 0.2]) pen.line('conductor', [[0, y], [stripMm, y]]); // prettier-ignore
  pen.polygon('conductor', rectangle(stripMm, -MARK_OUT.radiusMm * 0.75, end, MARK_OUT.radiusMm * 0.75));
  if (jacketed) pen.polygon('sheath-outer', rectangle(jacketMm, -MARK_OUT.radiusMm, end, MARK_OUT.radiusMm));
  const scale = MARK_OUT.radiusMm + 4;
  pen.line('dimension', [[0, scale], [end, scale]], { width: 1.4 }); // prettier-ignore
  for (let mm = 0; mm <= end; mm++) {
    const length = mm % 10 === 0 ? 3.4 : mm % 5 === 0 ? 2.4 : 1.4;
    pen.line('dimension', [[mm, scale], [mm, scale + length]]); // prettier-ignore
    if (mm % 20 === 0 && mm < end - 8) pen.label(String(mm), [mm, scale + 7.6], 'middle');
  }
  pen.label('mm', [end, scale + 7.6], 'end', true);
  [...rows]
    .sort((a, b) => a[1] - b[1])
    .forEach(([title, mm], i) => {
      const top = -MARK_OUT.radiusMm - 3 - i * 4.6;
      pen.line('void', [[mm, scale], [mm, top]], { width: 2 }); // prettier-ignore
      pen.label(`${title}: ${figure(mm, 1)} mm`, [mm - 1.4, top + 1.4], 'end');
    });
  const bar = scale + 13;
  pen.line('dimension', [[0, bar], [50, bar]], { width: 1.4 }); // prettier-ignore
  for (const x of [0, 50]) pen.line('dimension', [[x, bar - 1.2], [x, bar + 1.2]], { width: 1.4 }); // prettier-ignore
  pen.label('50 mm: measure it on the print', [52, bar + 1], 'start', true);
  return {
    shapes: pen.shapes,
    labels: pen.labels,
    anchors: [],
    box: [-4, -MARK_OUT.radiusMm - 4 - rows.length * 4.6, end + 4, bar + 4],
    description: `Marks from the square cut: ${rows.map(([title, mm]) => `${title} ${figure(mm, 1)} mm`).join(', ')}.`,
  };
}
