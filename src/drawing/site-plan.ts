import type { Area, Enclosure, Id } from '../core/record/types';

/** A rectangle in metres, x to the right and y down. */
export interface RectM {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** An enclosure on the plan: where its box stands, and its entries in it. */
export interface PlannedBox extends RectM {
  enclosure: Enclosure;
  /** Baseline of its tag. */
  tagAt: readonly [x: number, y: number];
  /** Middles of the marks of its entries, in their order. */
  marks: readonly (readonly [x: number, y: number])[];
}

/** An area with everything in it. */
export interface PlannedArea {
  area: Area;
  outline: RectM;
  /** How large words and marks are here: 1 where there is room. */
  scale: number;
  boxes: readonly PlannedBox[];
}

/** A plan of a site, in metres. */
export interface SitePlan {
  view: RectM;
  areas: readonly PlannedArea[];
}

/** Sizes at scale 1, m; chosen so that a mark is a finger wide on a plan that fills a tablet. */
const STEP = 2.2;
const PAD = 0.3;
const TAG = 1.4;
const TITLE = 3.4;
const GAP = 0.4;
const EDGE = 0.5;
const MOST_IN_ROW = 6;
/** Scales that are tried where an area is too small for what is in it. */
const SCALES = [1, 0.85, 0.7, 0.58, 0.48, 0.4, 0.33] as const;
/** A site that is smaller is drawn with room around it, m. */
const LEAST_VIEW = { width: 56, height: 34 };
const MARGIN = 1.5;
/** Places that are tried along one side of an area. */
const TRIES = 48;

/**
 * Lays out a site: every box inside its area as near to where it hangs as there is room, none over another or over the
 * area's name. Where an area is too small, everything in it is drawn smaller; boxes that find no room even then stand
 * in rows below the name.
 *
 * @param entriesOf how many entries an enclosure has
 */
export function layoutSite(
  areas: readonly Area[],
  enclosures: readonly Enclosure[],
  entriesOf: (enclosure: Id) => number,
): SitePlan {
  const planned = areas.map((area) =>
    layoutArea(
      area,
      enclosures.filter((one) => one.area === area.id),
      entriesOf,
    ),
  );
  return { view: viewOf(areas.map(({ outlineM }) => outlineM)), areas: planned };
}

function layoutArea(
  area: Area,
  own: readonly Enclosure[],
  entriesOf: (enclosure: Id) => number,
): PlannedArea {
  const { outlineM: outline } = area;
  const sorted = [...own].sort((a, b) => a.positionM.y - b.positionM.y || a.positionM.x - b.positionM.x);
  for (const scale of SCALES) {
    const boxes = placeAll(outline, sorted, entriesOf, scale);
    if (boxes) return { area, outline, scale, boxes };
  }
  const scale = SCALES.at(-1)!;
  return { area, outline, scale, boxes: inRows(outline, sorted, entriesOf, scale) };
}

/** Every box where there is room for it; null where one finds none. */
function placeAll(
  outline: RectM,
  own: readonly Enclosure[],
  entriesOf: (enclosure: Id) => number,
  scale: number,
): PlannedBox[] | null {
  const boxes: PlannedBox[] = [];
  for (const enclosure of own) {
    const size = sizeOf(entriesOf(enclosure.id), scale);
    const at = nearestFree(outline, size, wished(enclosure, scale), boxes, scale);
    if (!at) return null;
    boxes.push(boxAt(enclosure, at, size, entriesOf(enclosure.id), scale));
  }
  return boxes;
}

/** Corner at which the first mark would stand where the enclosure hangs. */
const wished = ({ positionM: { x, y } }: Enclosure, scale: number): [number, number] => [
  x - (STEP / 2 + PAD) * scale,
  y - (TAG + STEP / 2) * scale,
];

const sizeOf = (entries: number, scale: number) => {
  const across = Math.min(Math.max(entries, 1), MOST_IN_ROW);
  const rows = Math.max(Math.ceil(entries / MOST_IN_ROW), 1);
  return { width: (across * STEP + 2 * PAD) * scale, height: (rows * STEP + TAG + PAD) * scale };
};

function nearestFree(
  outline: RectM,
  { width, height }: { width: number; height: number },
  [wx, wy]: readonly [number, number],
  taken: readonly RectM[],
  scale: number,
): [number, number] | null {
  const left = outline.x + EDGE * scale;
  const top = outline.y + TITLE * scale;
  const right = outline.x + outline.width - EDGE * scale - width;
  const bottom = outline.y + outline.height - EDGE * scale - height;
  if (right < left || bottom < top) return null;
  let best: [number, number] | null = null;
  let bestD = Infinity;
  const look = (x: number, y: number) => {
    const d = (x - wx) ** 2 + (y - wy) ** 2;
    if (d >= bestD || taken.some((one) => meets({ x, y, width, height }, one, GAP * scale))) return;
    best = [x, y];
    bestD = d;
  };
  look(within(wx, left, right), within(wy, top, bottom));
  for (let i = 0; i <= TRIES; i++)
    for (let j = 0; j <= TRIES; j++)
      look(left + ((right - left) * i) / TRIES, top + ((bottom - top) * j) / TRIES);
  return best;
}

/** The last way: one after the other in rows, drawn over the foot of the area if need be. */
function inRows(
  outline: RectM,
  own: readonly Enclosure[],
  entriesOf: (enclosure: Id) => number,
  scale: number,
): PlannedBox[] {
  let x = outline.x + EDGE * scale;
  let y = outline.y + TITLE * scale;
  let high = 0;
  return own.map((enclosure) => {
    const size = sizeOf(entriesOf(enclosure.id), scale);
    if (x + size.width > outline.x + outline.width && x > outline.x + EDGE * scale) {
      x = outline.x + EDGE * scale;
      y += high + GAP * scale;
      high = 0;
    }
    const box = boxAt(enclosure, [x, y], size, entriesOf(enclosure.id), scale);
    x += size.width + GAP * scale;
    high = Math.max(high, size.height);
    return box;
  });
}

function boxAt(
  enclosure: Enclosure,
  [x, y]: readonly [number, number],
  size: { width: number; height: number },
  entries: number,
  scale: number,
): PlannedBox {
  const marks = Array.from({ length: entries }, (_, i): [number, number] => [
    x + (PAD + (0.5 + (i % MOST_IN_ROW)) * STEP) * scale,
    y + (TAG + (0.5 + Math.floor(i / MOST_IN_ROW)) * STEP) * scale,
  ]);
  return { enclosure, x, y, ...size, tagAt: [x + PAD * scale, y + (TAG - 0.35) * scale], marks };
}

/** Whether two rectangles come nearer to each other than a gap. */
export const meets = (a: RectM, b: RectM, gap = 0): boolean =>
  a.x < b.x + b.width + gap &&
  b.x < a.x + a.width + gap &&
  a.y < b.y + b.height + gap &&
  b.y < a.y + a.height + gap;

const within = (value: number, least: number, most: number): number => Math.min(Math.max(value, least), most);

function viewOf(outlines: readonly RectM[]): RectM {
  if (outlines.length === 0) return { x: 0, y: 0, ...LEAST_VIEW };
  const left = Math.min(...outlines.map(({ x }) => x)) - MARGIN;
  const top = Math.min(...outlines.map(({ y }) => y)) - MARGIN;
  const width = Math.max(...outlines.map(({ x, width: w }) => x + w)) + MARGIN - left;
  const height = Math.max(...outlines.map(({ y, height: h }) => y + h)) + MARGIN - top;
  const wide = Math.max(width, LEAST_VIEW.width);
  const high = Math.max(height, LEAST_VIEW.height);
  return { x: left - (wide - width) / 2, y: top - (high - height) / 2, width: wide, height: high };
}
