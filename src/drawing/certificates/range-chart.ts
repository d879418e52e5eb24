import { CHART } from '../proportions';
import type { SeriesPart } from '../../core/finder/series';
import { count, figure, limits } from '../../core/words/en/format';
import { Pen } from '../section/pen';
import { rectangle, type Drawing } from '../shapes';
import { seriesTitle } from '../../core/words/en/series';

/** Where a cable falls on a part's scale: from its smallest to its largest, with the uncertainty, mm. */
export interface Drop {
  lowMm: number;
  highMm: number;
}

/** A whole size series on one scale: slots, overlaps and holes, and where a cable falls. */
export function drawRangeChart(part: SeriesPart, drop: Drop | null): Drawing {
  const pen = new Pen();
  const { ranges, holes, overlaps } = part;
  const ends = [...ranges.flatMap(({ rangeMm }) => rangeMm), ...(drop ? [drop.lowMm, drop.highMm] : [])];
  const [low, high] = [Math.min(...ends), Math.max(...ends)];
  const span = Math.max(high - low, 0.5) * 1.06;
  const start = low - span * 0.03;
  const x = (mm: number) => CHART.leftMm + ((mm - start) / span) * CHART.widthMm;
  const bottom = ranges.length * CHART.rowMm + 2;
  for (const [from, to] of holes) pen.polygon('void', rectangle(x(from), 0, x(to), bottom));
  ranges.forEach(({ size, rangeMm: [from, to] }, i) => {
    const y = 1.5 + i * CHART.rowMm;
    pen.polygon('brass', rectangle(x(from), y, x(to), y + CHART.rowMm - 3));
    pen.label(size, [1, y + 3.6], 'start');
    pen.label(figure(from), [x(from) - 1, y + 3.2], 'end', true);
    pen.label(figure(to), [x(to) + 1, y + 3.2], 'start', true);
  });
  pen.line('dimension', [[CHART.leftMm, bottom], [CHART.leftMm + CHART.widthMm, bottom]]); // prettier-ignore
  for (const mm of ticks(start, start + span)) {
    pen.line('dimension', [[x(mm), bottom], [x(mm), bottom + 1.6]]); // prettier-ignore
    if (x(mm) < CHART.leftMm + CHART.widthMm - 6) pen.label(figure(mm, 2), [x(mm), bottom + 5.4], 'middle');
  }
  pen.label('mm', [CHART.leftMm + CHART.widthMm + 3, bottom + 5.4], 'start', true);
  if (drop) {
    const [from, to] = [x(drop.lowMm), Math.max(x(drop.highMm), x(drop.lowMm) + 0.6)];
    pen.polygon('sheath-outer', rectangle(from, -2, to, bottom));
  }
  return {
    shapes: pen.shapes,
    labels: pen.labels,
    anchors: [],
    box: [0, -3, CHART.leftMm + CHART.widthMm + 12, bottom + 8],
    description: describe(seriesTitle(part), ranges, holes, overlaps, drop),
  };
}

function describe(
  title: string,
  ranges: SeriesPart['ranges'],
  holes: SeriesPart['holes'],
  overlaps: SeriesPart['overlaps'],
  drop: Drop | null,
): string {
  const sizes = ranges.map(({ size, rangeMm }) => `${size} ${limits(...rangeMm)}`).join(', ');
  const gaps = holes.length === 0 ? 'no holes' : `holes ${holes.map((h) => limits(...h)).join(', ')}`;
  const both = overlaps.length === 0 ? 'no overlaps' : count(overlaps.length, 'overlap');
  const cable = drop ? `; the cable at ${limits(drop.lowMm, drop.highMm)}` : '';
  return `${title}: ${sizes}; ${both}, ${gaps}${cable}.`;
}

/** Round figures along a scale, eight or so. */
function ticks(from: number, to: number): number[] {
  const rough = (to - from) / 8;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((n) => n * power).find((n) => n >= rough)!;
  const found: number[] = [];
  for (let i = Math.ceil(from / step); i * step <= to; i++) found.push(Number((i * step).toFixed(6)));
  return found;
}
