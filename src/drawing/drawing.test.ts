import { describe, expect, it } from 'vitest';
import { dossierWith } from '../core/rulebook/sound-entry.test.data';
import { drawEntry } from './draw';
import type { Drawing, Point } from './shapes';
import { drawingToSvg } from './svg';

const polygons = (drawing: Drawing, material: string, place?: string) =>
  drawing.shapes.filter(
    (s) => s.type === 'polygon' && s.material === material && (place === undefined || s.place === place),
  );
const reach = (points: readonly Point[]) => Math.max(...points.map(([, y]) => Math.abs(y)));
const nearest = (points: readonly Point[]) => Math.min(...points.map(([, y]) => Math.abs(y)));
/** Distance between a seal and the sheath under it, mm. */
const gapUnderSeal = (outerMm: number) => {
  const drawing = drawEntry(dossierWith({ truth: { 'outer-sheath': [outerMm, outerMm, outerMm] } }));
  return nearest(polygons(drawing, 'rubber', 'outer-sheath')[0]!.points) - outerMm / 2;
};

describe('the armoured gland', () => {
  it('is to scale: wall, sheath and armour as recorded and measured', () => {
    const drawing = drawEntry(dossierWith());
    const wall = polygons(drawing, 'wall')[0]!.points.map(([x]) => x);
    expect(Math.max(...wall) - Math.min(...wall)).toBeCloseTo(12, 9);
    expect(reach(polygons(drawing, 'sheath-outer')[0]!.points)).toBeCloseTo(20.7 / 2, 2);
    const armour = drawing.shapes.find((s) => s.type === 'line' && s.material === 'armour');
    expect(armour).toMatchObject({ width: expect.closeTo(1.2533, 3) });
  });
  it('lets the seal touch a sheath of its range, leaves a gap on one too small, and is burst by one too large', () => {
    expect(gapUnderSeal(20)).toBeCloseTo(0, 9);
    expect(gapUnderSeal(15)).toBeCloseTo((16.9 - 15) / 2, 9);
    expect(gapUnderSeal(25)).toBeCloseTo((24.1 - 25) / 2, 9);
  });
  it('draws the cores by their number, and the gland standing off where threads are missing', () => {
    expect(polygons(drawEntry(dossierWith()), 'core').length).toBe(4);
    const seven = drawEntry(dossierWith({ cable: { cores: [{ count: 7, areaMm2: 1.5, diameterMm: 3 }] } }));
    expect(polygons(seven, 'core').length).toBe(7);
    const shoulder = (engaged: number) => {
      const brass = polygons(drawEntry(dossierWith({ truth: { 'thread-engagement': [engaged] } })), 'brass');
      return Math.max(...brass[0]!.points.map(([x]) => x));
    };
    expect(shoulder(6) - shoulder(11)).toBeCloseTo(5, 9);
  });
  it('draws what is there when nothing is on file', () => {
    const drawing = drawEntry(dossierWith({ entry: { certificate: null, cable: null, size: null } }));
    for (const { points } of drawing.shapes)
      for (const point of points) expect(point.every(Number.isFinite)).toBe(true);
  });
  it('is saved as SVG with its words escaped', () => {
    const svg = drawingToSvg(drawEntry(dossierWith({ enclosure: { tag: 'A<&>"' } })), {
      'outer-sheath': 'failed',
    });
    expect(svg).toContain('A&lt;&amp;&gt;&quot;');
    expect(svg).toContain('#A91E2C');
    expect(svg).not.toMatch(/NaN|undefined/);
  });
});
