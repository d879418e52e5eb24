/** A point in millimetres: x along the cable, outwards; y across it, downwards. */
export type Point = readonly [x: number, y: number];

/** What a shape is made of; the renderer gives each material its look. */
export type Material =
  | 'wall'
  | 'brass'
  | 'rubber'
  | 'sheath-outer'
  | 'sheath-inner'
  | 'armour'
  | 'core'
  | 'compound'
  | 'resin'
  | 'void'
  | 'dam'
  | 'washer'
  | 'shroud'
  | 'conductor'
  | 'axis'
  | 'dimension'
  | 'air';

/** How the part of a drawing was judged; colours its outline. */
export type PartState = 'sound' | 'close' | 'failed' | 'unread' | null;

interface ShapeBase {
  material: Material;
  /** Measured place that the shape belongs to: touching it asks for the next reading. */
  place?: string;
  /** Number of the core, for its colour. */
  index?: number;
}

export type Shape =
  | (ShapeBase & { type: 'polygon'; points: readonly Point[] })
  | (ShapeBase & { type: 'line'; points: readonly Point[]; dashed?: boolean; width?: number });

/** A text at a point; its size is fixed on screen, not to scale. */
export interface Label {
  text: string;
  at: Point;
  anchor: 'start' | 'middle' | 'end';
  /** A figure is set in the mono face. */
  quiet?: boolean;
}

/** Where a leader line leaves a part for its fit strip. */
interface Anchor {
  place: string;
  at: Point;
}

/** A drawing to scale. */
export interface Drawing {
  shapes: Shape[];
  labels: Label[];
  anchors: Anchor[];
  /** Extent in mm: [left, top, right, bottom]. */
  box: readonly [number, number, number, number];
  /** What the drawing shows, in words. */
  description: string;
}

/** A rectangle from two corners. */
export const rectangle = (x1: number, y1: number, x2: number, y2: number): Point[] => [
  [x1, y1],
  [x2, y1],
  [x2, y2],
  [x1, y2],
];

/** A circle as a polygon of many corners. */
export const circle = (x: number, y: number, r: number, corners = 28): Point[] =>
  Array.from({ length: corners }, (_, i) => {
    const angle = (2 * Math.PI * i) / corners;
    return [x + r * Math.cos(angle), y + r * Math.sin(angle)];
  });

/** The same points on the other side of the axis. */
export const mirrored = (points: readonly Point[]): Point[] => points.map(([x, y]) => [x, -y]);
