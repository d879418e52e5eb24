import type { BackNutSheet } from '../../core/record/types';
import { gapFor } from '../../core/rulebook/gap-scale';
import { figure } from '../../core/words/en/format';
import { Pen } from '../section/pen';
import type { Drawing } from '../shapes';

/** One line of a scale: a cable diameter and the gap that is right on it; null where the seal cannot hold it. */
export interface ScaleLine {
  cableMm: number;
  gapMm: number | null;
  indentPct: number | null;
  /** Why the seal cannot hold this cable; empty where it can. */
  why: string;
}

/** Lines of a scale from the smallest to the largest cable, mm, in steps of half a millimetre or a hundredth part. */
export function scaleLines(sheet: BackNutSheet, [from, to]: readonly [number, number]): ScaleLine[] {
  const step = Math.max(0.5, (to - from) / 100);
  const lines: ScaleLine[] = [];
  for (let i = 0; from + i * step <= to + 1e-9; i++) lines.push(lineAt(sheet, from + i * step));
  return lines;
}

function lineAt(sheet: BackNutSheet, cableMm: number): ScaleLine {
  try {
    const { gapMm, indentPct, bottoms } = gapFor(sheet, cableMm);
    if (bottoms) return { cableMm, gapMm: null, indentPct, why: 'the faces meet before the seal grips' };
    return { cableMm, gapMm, indentPct, why: '' };
  } catch (error) {
    return { cableMm, gapMm: null, indentPct: null, why: (error as Error).message };
  }
}

/** Paper that one mm of cable takes along the scale, mm; gaps stand at their own size. */
const MM_PER_MM = 10;

/**
 * The scale as it is printed, 1:1 across: for each cable diameter the gap under the back nut, drawn at its true
 * size, so that a nut can be held against it. A bar of 50 mm shows whether the print is right.
 */
export function drawGapScale(
  sheet: BackNutSheet,
  range: readonly [number, number],
  markMm: number | null,
): Drawing {
  const pen = new Pen();
  const x = (cableMm: number) => (cableMm - range[0]) * MM_PER_MM;
  const width = Math.max(x(range[1]), 60);
  const lines = scaleLines(sheet, range).filter(({ gapMm }) => gapMm !== null);
  const top = Math.max(...lines.map(({ gapMm }) => gapMm!), 4);
  const y = (gapMm: number) => top - gapMm;
  if (lines.length > 1) {
    const curve = lines.map(({ cableMm, gapMm }) => [x(cableMm), y(gapMm!)] as const);
    pen.polygon('rubber', [[curve[0]![0], top], ...curve, [curve[curve.length - 1]![0], top]]);
  }
  pen.line('dimension', [[0, top], [width, top]], { width: 1.4 }); // prettier-ignore
  for (let mm = Math.ceil(range[0]); mm <= range[1]; mm++) {
    pen.line('dimension', [[x(mm), top], [x(mm), top + 2]]); // prettier-ignore
    pen.label(String(mm), [x(mm), top + 5.6], 'middle');
    const line = lines.find(({ cableMm }) => Math.abs(cableMm - mm) < 0.26);
    if (line) pen.label(figure(line.gapMm!, 1), [x(line.cableMm), y(line.gapMm!) - 1.4], 'middle', true);
  }
  pen.label('cable diameter, mm', [0, top + 10], 'start', true);
  pen.label('gap under the back nut at its true size, mm', [0, -6], 'start', true);
  if (markMm !== null && markMm >= range[0] && markMm <= range[1]) {
    const here = lineAt(sheet, markMm);
    if (here.gapMm !== null) {
      pen.line('void', [[x(markMm), top], [x(markMm), -1]], { width: 2.4 }); // prettier-ignore
      pen.label(`${figure(markMm)} mm: ${figure(here.gapMm)} mm`, [x(markMm), -1.8], 'middle');
    }
  }
  pen.line('dimension', [[0, top + 14], [50, top + 14]], { width: 1.4 }); // prettier-ignore
  for (const at of [0, 50]) pen.line('dimension', [[at, top + 13], [at, top + 15]], { width: 1.4 }); // prettier-ignore
  pen.label('50 mm: measure it on the print', [0, top + 18.6], 'start', true);
  return {
    shapes: pen.shapes,
    labels: pen.labels,
    anchors: [],
    box: [-4, -10, width + 6, top + 21],
    description: `Gap under the back nut for cables of ${figure(range[0])} to ${figure(range[1])} mm.`,
  };
}
