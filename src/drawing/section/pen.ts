import { mirrored, rectangle, type Label, type Material, type Point, type Shape } from '../shapes';
import type { Span } from './geometry';

/** Collects the shapes of a section; most parts stand on both sides of the axis. */
export class Pen {
  readonly shapes: Shape[] = [];
  readonly labels: Label[] = [];
  #shiftMm = 0;

  /** Draws something further out along the cable, as long as it is not in its place. */
  shifted(mm: number, draw: () => void): void {
    const before = this.#shiftMm;
    this.#shiftMm += mm;
    draw();
    this.#shiftMm = before;
  }

  #moved(points: readonly Point[]): readonly Point[] {
    const by = this.#shiftMm;
    return by === 0 ? points : points.map(([x, y]): Point => [x + by, y]);
  }

  /** A part above the axis and its mirror image below. */
  both(material: Material, points: readonly Point[], place?: string): void {
    this.polygon(material, points, place);
    this.polygon(material, mirrored(points), place);
  }

  /** A ring from one radius to another along a stretch, on both sides. */
  ring(material: Material, [from, to]: Span, innerR: number, outerR: number, place?: string): void {
    this.both(material, rectangle(from, -outerR, to, -innerR), place);
  }

  polygon(material: Material, points: readonly Point[], place?: string, index?: number): void {
    this.shapes.push({ type: 'polygon', material, points: this.#moved(points), place, index });
  }

  line(material: Material, points: readonly Point[], rest: Partial<Shape & { type: 'line' }> = {}): void {
    this.shapes.push({ ...rest, type: 'line', material, points: this.#moved(points) });
  }

  label(text: string, at: Point, anchor: Label['anchor'], quiet = false): void {
    this.labels.push({ text, at: this.#moved([at])[0]!, anchor, quiet });
  }

  /** A dimension line with ticks at its ends and its words beside it, on the outer side. */
  dimension([from, to]: Span, y: number, text: string, place?: string, quiet = false): void {
    this.line('dimension', [[from, y], [to, y]], { place }); // prettier-ignore
    for (const x of [from, to]) this.line('dimension', [[x, y - 1.2], [x, y + 1.2]], { place }); // prettier-ignore
    this.label(text, [Math.max(from, to) + 1.5, y + 0.9], 'start', quiet);
  }
}
