import type { CutMarks, Mark } from '../../core/makeoff/marks';
import { figure } from '../../core/words/format';
import { Pen } from '../section/pen';
import { rectangle, type Drawing } from '../shapes';

/** Bar by which a print is checked, mm. */
export const BAR_MM = 50;
/** Height of the drawn cable and of what stands round it, mm. */
const CABLE_MM = 8;
/** Cable that is drawn beyond the last mark, mm. */
const BEYOND_MM = 25;
/** Length of a printed strip: what fits across the paper with its margins, mm. */
export const STRIP_MM = 180;

/** What lies between two marks: its material, and how high it stands, as a share of the cable. */
const LAYERS = [
  { until: 'inner-sheath', material: 'conductor', share: 0.3 },
  { until: 'armour', material: 'sheath-inner', share: 0.62 },
  { until: 'outer-sheath', material: 'armour', share: 0.76 },
] as const;

/**
 * The cut marks on a ruler, in millimetres: printed at its size it is laid along the cable. A bar of 50 mm shows
 * whether the print is right.
 *
 * @param range part of the ruler, mm; the whole unless said
 */
export function drawRuler(
  cuts: CutMarks,
  range: readonly [number, number] = [0, rulerLength(cuts)],
): Drawing {
  const pen = new Pen();
  const [from, to] = range;
  const inside = (x: number) => Math.min(Math.max(x, from), to);
  let start = from;
  for (const { until, material, share } of LAYERS) {
    const mark = cuts.marks.find(({ id }) => id === until);
    if (!mark) continue;
    const end = inside(mark.atMm);
    if (end > start) pen.polygon(material === 'armour' ? 'washer' : material, layer(start, end, share));
    start = Math.max(start, end);
  }
  if (to > start) pen.polygon('sheath-outer', layer(start, to, 1));
  drawScale(pen, range);
  cuts.marks.forEach((mark, i) => drawMark(pen, mark, range, i));
  const bar = CABLE_MM + 32;
  pen.line('dimension', [[from, bar], [from + BAR_MM, bar]], { width: 1.4 }); // prettier-ignore
  for (const x of [from, from + BAR_MM]) pen.line('dimension', [[x, bar - 1.2], [x, bar + 1.2]], { width: 1.4 }); // prettier-ignore
  pen.label(`${BAR_MM} mm: measure it on the print`, [from + BAR_MM + 2, bar + 1], 'start', true);
  const said = cuts.marks.map(({ title, atMm }) => `${title} at ${figure(atMm, 1)} mm`).join(', ');
  return {
    shapes: pen.shapes,
    labels: pen.labels,
    anchors: [],
    box: [from - 4, -17, to + 4, bar + 4],
    description: `Cut marks along the cable: ${said}.`,
  };
}

/** Length of the whole ruler, mm. */
export const rulerLength = ({ marks }: CutMarks): number =>
  Math.max(...marks.map(({ highMm }) => highMm), BAR_MM) + BEYOND_MM;

/** The ruler in strips that fit across the paper, each with where it begins and ends, mm. */
export function rulerStrips(cuts: CutMarks): [from: number, to: number][] {
  const length = rulerLength(cuts);
  const strips: [number, number][] = [];
  for (let from = 0; from < length - 1e-9; from += STRIP_MM)
    strips.push([from, Math.min(from + STRIP_MM, length)]);
  return strips;
}

const layer = (from: number, to: number, share: number) =>
  rectangle(from, (CABLE_MM * (1 - share)) / 2, to, (CABLE_MM * (1 + share)) / 2);

function drawScale(pen: Pen, [from, to]: readonly [number, number]): void {
  const y = CABLE_MM + 4;
  pen.line('dimension', [[from, y], [to, y]], { width: 1.4 }); // prettier-ignore
  for (let mm = Math.ceil(from); mm <= to; mm++) {
    const length = mm % 10 === 0 ? 3.4 : mm % 5 === 0 ? 2.4 : 1.4;
    pen.line('dimension', [[mm, y], [mm, y + length]]); // prettier-ignore
    if (mm % 20 === 0) pen.label(String(mm), [mm, y + 7.6], 'middle');
  }
  pen.label('mm', [to, y + 7.6], 'end', true);
}

/** A cut: its line across the cable, the stretch in which it may lie, its figures above. */
function drawMark(pen: Pen, mark: Mark, [from, to]: readonly [number, number], row: number): void {
  const { atMm, lowMm, highMm, title } = mark;
  if (atMm < from - 1e-9 || atMm > to + 1e-9) return;
  const top = -3 - row * 4.6;
  pen.line('void', [[atMm, CABLE_MM + 4], [atMm, top]], { width: 2.2 }); // prettier-ignore
  pen.line('dimension', [[Math.max(lowMm, from), CABLE_MM + 2], [Math.min(highMm, to), CABLE_MM + 2]], { width: 3 }); // prettier-ignore
  const words = `${title}: ${figure(atMm, 1)} mm (${figure(lowMm, 1)} to ${figure(highMm, 1)})`;
  const late = atMm > (from + to) / 2;
  pen.label(words, [atMm + (late ? -1.4 : 1.4), top + 1.4], late ? 'end' : 'start');
}
