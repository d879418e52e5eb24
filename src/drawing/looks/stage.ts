import { LOOK } from '../proportions';
import { Pen } from '../section/pen';
import { circle, rectangle, type Drawing, type Material, type Point } from '../shapes';

/** A small picture of something right or wrong; not to scale. */
export class Stage extends Pen {
  box(material: Material, x1: number, y1: number, x2: number, y2: number): this {
    this.polygon(material, rectangle(x1, y1, x2, y2));
    return this;
  }

  disc(material: Material, x: number, y: number, r: number, corners?: number): this {
    this.polygon(material, circle(x, y, r, corners));
    return this;
  }

  /** Any outline. */
  shape(material: Material, points: readonly Point[]): this {
    this.polygon(material, points);
    return this;
  }

  path(points: readonly Point[], width = 1.4, material: Material = 'dimension'): this {
    this.line(material, points, { width });
    return this;
  }

  say(text: string, x: number, y: number, anchor: 'start' | 'middle' | 'end' = 'middle'): this {
    this.label(text, [x, y], anchor);
    return this;
  }

  /** An arrow from one point to another. */
  arrow(from: Point, to: Point): this {
    const angle = Math.atan2(to[1] - from[1], to[0] - from[0]);
    const barb = (turn: number): Point => [
      to[0] - 3 * Math.cos(angle + turn),
      to[1] - 3 * Math.sin(angle + turn),
    ];
    return this.path([from, to]).path([barb(0.5), to, barb(-0.5)]);
  }

  /** An arc with an arrow head: something turns. */
  turn(x: number, y: number, r: number): this {
    const arc = Array.from({ length: 10 }, (_, i): Point => {
      const angle = -2.6 + i * 0.22;
      return [x + r * Math.cos(angle), y + r * Math.sin(angle)];
    });
    const tip = arc[arc.length - 1]!;
    return this.path(arc).path([[tip[0] - 2.4, tip[1] - 1], tip, [tip[0] + 0.4, tip[1] - 3]]); // prettier-ignore
  }

  /** A crack. */
  crack(x: number, y: number): this {
    return this.path([[x, y], [x + 2, y + 3], [x - 1, y + 5], [x + 2, y + 9]], 2, 'void'); // prettier-ignore
  }

  /** A gland on its box, seen from the side: wall, body, back nut, cable. */
  gland(gap = 0.8): this {
    return this.box('wall', 0, 2, 8, 38)
      .box('brass', 8, 10, 20, 30)
      .box('brass', 20, 12, 28, 28)
      .box('brass', 28 + gap, 11, 40 + gap, 29)
      .box('sheath-outer', 40 + gap, 15, 60, 25);
  }

  /** The picture as a drawing. */
  drawing(description: string): Drawing {
    return {
      shapes: this.shapes,
      labels: this.labels,
      anchors: [],
      box: [0, 0, LOOK.width, LOOK.height],
      description,
    };
  }
}
