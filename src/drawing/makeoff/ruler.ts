import { RULER } from '../proportions';
import type { CutMarks, Mark } from '../../core/makeoff/marks';
import { figure } from '../../core/words/en/format';
import { Pen } from '../section/pen';
import { rectangle, type Drawing } from '../shapes';
import { MARK_WORDS } from '../../core/words/en/makeoff';

/** Length of a printed strip: what fits across the paper with its margins, mm. */
export const STRIP_MM = 180;

/** What lies between two marks: its material, and how high it stands, as a share of the cable. */
const LAYERS = [
  { until: 'inner-sheath', material: 'conductor', share: 0.3 },
  { until: 'armour', material: 'sheath-inner', share: 0.62 },
  { until: 'outer-sheath', material: 'wall', share: 0.76 },
  { until: 'strip', material: 'conductor', share: 0.3 },
  { until: 'jacket', material: 'conductor', share: 0.8 },
  { until: 'block-jacket', material: 'sheath-outer', share: 1 },
  { until: 'block-armour', material: 'wall', share: 0.76 },
] as const;

/**
 * The cut marks on a ruler, in millimetres: printed at its size it is laid along the cable. A bar of 50 mm shows
 * whether the print is right.
 *
 * @param range part of the ruler, mm; the whole unless said
 * @param bar whether the bar stands under it
 */
export function drawRuler(
  cuts: CutMarks,
  range: readonly [number, number] = [0, rulerLength(cuts)],
  bar = true,
): Drawing {
  const pen = new Pen();
  const [from, to] = range;
  const inside = (x: number) => Math.min(Math.max(x, from), to);
  let start = from;
  for (const { until, material, share } of LAYERS) {
    const mark = cuts.marks.find(({ id }) => id === until);
    if (!mark) continue;
    const end = inside(mark.atMm);
    if (end > start) pen.polygon(material, layer(start, end, share));
    start = Math.max(start, end);
  }
  const length = rulerLength(cuts);
  const copper = cuts.from === 'square-cut' && !cuts.marks.some(({ id }) => id === 'jacket');
  if (Math.min(to, length) > start) {
    const inner = cuts.from === 'block-face';
    const [material, share] = inner
      ? (['sheath-inner', 0.62] as const)
      : copper
        ? (['conductor', 0.8] as const)
        : (['sheath-outer', 1] as const);
    pen.polygon(material, layer(start, Math.min(to, length), share));
  }
  drawScale(pen, [from, Math.min(to, length)]);
  // A mark between two strips stands on the first of them.
  const own = cuts.marks.filter(({ atMm }) => atMm <= to + 1e-9 && (atMm > from + 1e-9 || from === 0));
  // Words that go on to the right stand above the lines there, those that end at their line above the lines before it.
  const late = own.filter(({ atMm }) => isLate(atMm, range));
  const early = own.filter(({ atMm }) => !isLate(atMm, range)).reverse();
  [...early, ...late].forEach((mark, row) => drawMark(pen, mark, range, row));
  const foot = RULER.cableMm + 13;
  if (bar) drawBar(pen, from, foot + 4);
  const said = cuts.marks.map(({ id, atMm }) => `${MARK_WORDS[id]} at ${figure(atMm, 1)} mm`).join(', ');
  return {
    shapes: pen.shapes,
    labels: pen.labels,
    anchors: [],
    box: [from - 4, -4 - own.length * 4.6, to + 4, bar ? foot + 7 : foot],
    description: `Cut marks along the cable: ${said}.`,
  };
}

function drawBar(pen: Pen, from: number, y: number): void {
  pen.line('dimension', [[from, y], [from + RULER.barMm, y]], { width: 1.4 }); // prettier-ignore
  for (const x of [from, from + RULER.barMm]) pen.line('dimension', [[x, y - 1.2], [x, y + 1.2]], { width: 1.4 }); // prettier-ignore
  pen.label(`${RULER.barMm} mm: measure it on the print`, [from + RULER.barMm + 2, y + 1], 'start', true);
}

/** Length of the whole ruler, mm. */
export const rulerLength = ({ marks }: CutMarks): number =>
  Math.max(...marks.map(({ highMm }) => highMm), RULER.barMm) + RULER.beyondMm;

/**
 * The ruler in strips of one length that fit across the paper. Of a long tail only its end is printed: it is
 * measured with a rule.
 */
export function rulerStrips(cuts: CutMarks): [from: number, to: number][] {
  const length = rulerLength(cuts);
  if (cuts.marks.length === 0) return [];
  const first = Math.min(...cuts.marks.map(({ atMm }) => atMm));
  const start = length <= 2 * STRIP_MM ? 0 : Math.max(0, Math.floor(first - RULER.leadMm));
  const strips: [number, number][] = [];
  for (let from = start; from < length - 1e-9; from += STRIP_MM) strips.push([from, from + STRIP_MM]);
  return strips;
}

const layer = (from: number, to: number, share: number) =>
  rectangle(from, (RULER.cableMm * (1 - share)) / 2, to, (RULER.cableMm * (1 + share)) / 2);

function drawScale(pen: Pen, [from, to]: readonly [number, number]): void {
  const y = RULER.cableMm + 4;
  pen.line('dimension', [[from, y], [to, y]], { width: 1.4 }); // prettier-ignore
  for (let mm = Math.ceil(from); mm <= to; mm++) {
    const length = mm % 10 === 0 ? 3.4 : mm % 5 === 0 ? 2.4 : 1.4;
    pen.line('dimension', [[mm, y], [mm, y + length]]); // prettier-ignore
    if (mm % 20 === 0 && mm < to - 8) pen.label(String(mm), [mm, y + 7.6], 'middle');
  }
  pen.label('mm', [to, y + 7.6], 'end', true);
}

/** Whether a mark lies in the right half, so that its words stand left of it. */
const isLate = (atMm: number, [from, to]: readonly [number, number]): boolean => atMm > (from + to) / 2;

/** A cut: its line across the cable, the stretch in which it may lie, its figures above. */
function drawMark(pen: Pen, mark: Mark, range: readonly [number, number], row: number): void {
  const [from, to] = range;
  const { atMm, lowMm, highMm } = mark;
  const top = -3 - row * 4.6;
  pen.line('void', [[atMm, RULER.cableMm + 4], [atMm, top]], { width: 2.2 }); // prettier-ignore
  pen.line('dimension', [[Math.max(lowMm, from), RULER.cableMm + 2], [Math.min(highMm, to), RULER.cableMm + 2]], { width: 3 }); // prettier-ignore
  const words = `${MARK_WORDS[mark.id]}: ${figure(atMm, 1)} mm (${figure(lowMm, 1)} to ${figure(highMm, 1)})`;
  const late = isLate(atMm, range);
  pen.label(words, [atMm + (late ? -1.4 : 1.4), top + 1.4], late ? 'end' : 'start');
}
