import type { Drawing, Label, PartState, Point, Shape } from './shapes';

/** Look of each material as SVG presentation: fill, stroke, stroke width in mm. */
const LOOK: Record<Shape['material'], { fill: string; stroke: string; width: number }> = {
  wall: { fill: '#DCE2E4', stroke: '#1B2A32', width: 0.35 },
  brass: { fill: '#EBDCB4', stroke: '#1B2A32', width: 0.35 },
  rubber: { fill: '#5B3A4A', stroke: '#1B2A32', width: 0.35 },
  'sheath-outer': { fill: '#22323A', stroke: '#1B2A32', width: 0.35 },
  'sheath-inner': { fill: '#C9C2B2', stroke: '#1B2A32', width: 0.35 },
  armour: { fill: 'none', stroke: '#8396A0', width: 1 },
  core: { fill: '#8396A0', stroke: '#1B2A32', width: 0.15 },
  conductor: { fill: '#B88B35', stroke: '#1B2A32', width: 0.15 },
  compound: { fill: '#B9B08A', stroke: '#1B2A32', width: 0.3 },
  resin: { fill: '#D8B878', stroke: '#1B2A32', width: 0.3 },
  void: { fill: '#FBFAF5', stroke: '#A91E2C', width: 0.4 },
  dam: { fill: '#EDE6D2', stroke: '#1B2A32', width: 0.3 },
  washer: { fill: '#7A5A3A', stroke: '#1B2A32', width: 0.25 },
  shroud: { fill: 'none', stroke: '#3A4448', width: 1 },
  axis: { fill: 'none', stroke: '#1B2A32', width: 0.2 },
  dimension: { fill: 'none', stroke: '#1B2A32', width: 0.25 },
  air: { fill: '#FCFBF6', stroke: '#FCFBF6', width: 0.2 },
};

/** Core colours in the order of their numbers, muted so that they stay behind the judgement. */
export const CORE_FILLS = ['#8A5A2B', '#4A5560', '#9AA5AB', '#2F6F8F', '#7A8F4A', '#A3743C'] as const;

const STATE_STROKE: Record<Exclude<PartState, null>, string> = {
  sound: '#0E6B63',
  close: '#A86E0B',
  failed: '#A91E2C',
  unread: '#7C8890',
};

/** Path data of a list of points. */
export const pathOf = (points: readonly Point[], closed: boolean): string =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${round(x)} ${round(y)}`).join('') + (closed ? 'Z' : '');

const round = (value: number): number => Math.round(value * 1000) / 1000;
const escape = (text: string): string =>
  text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!);

/** A drawing as a free-standing SVG file, 1 unit = 1 mm. */
export function drawingToSvg(drawing: Drawing, states: Readonly<Record<string, PartState>>): string {
  const [left, top, right, bottom] = drawing.box;
  const width = round(right - left);
  const height = round(bottom - top);
  const body = drawing.shapes.map((shape) => shapeToSvg(shape, states)).join('\n');
  const labels = drawing.labels.map(labelToSvg).join('\n');
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="${round(left)} ${round(top)} ${width} ${height}" role="img">
<title>${escape(drawing.description)}</title>
<rect x="${round(left)}" y="${round(top)}" width="${width}" height="${height}" fill="#FBFAF5"/>
${body}
${labels}
</svg>
`;
}

function shapeToSvg(shape: Shape, states: Readonly<Record<string, PartState>>): string {
  const look = LOOK[shape.material];
  const state = shape.place ? (states[shape.place] ?? null) : null;
  const judged = state !== null && (shape.material === 'rubber' || shape.material === 'brass');
  const stroke = judged ? STATE_STROKE[state] : look.stroke;
  const fill = shape.material === 'core' ? CORE_FILLS[(shape.index ?? 0) % CORE_FILLS.length] : look.fill;
  if (shape.type === 'polygon') {
    return `<path d="${pathOf(shape.points, true)}" fill="${fill}" stroke="${stroke}" stroke-width="${judged ? 0.7 : look.width}"/>`;
  }
  const dash = shape.dashed
    ? shape.material === 'axis'
      ? ' stroke-dasharray="4 1 1 1"'
      : ' stroke-dasharray="3 0.6"'
    : '';
  const width = shape.material === 'armour' ? (shape.width ?? look.width) : look.width;
  return `<path d="${pathOf(shape.points, false)}" fill="none" stroke="${stroke}" stroke-width="${width}"${dash}/>`;
}

function labelToSvg({ text, at, anchor }: Label): string {
  return `<text x="${round(at[0])}" y="${round(at[1])}" text-anchor="${anchor}" font-family="monospace" font-size="2.6" fill="#1B2A32">${escape(text)}</text>`;
}
