import { describe, expect, it } from 'vitest';
import { endMarks } from '../../core/mineral/marks';
import { drawLinkPath } from './link-path';
import { drawMarkOut } from './mark-out';

describe('mark-out of a mineral-insulated end', () => {
  const marks = endMarks({
    tailMm: 120,
    toolStopOffsetMm: 33,
    potRearMm: 16,
    screenStubMm: 12,
    glandGripMm: 25,
  });
  const cuts = (jacketed: boolean) =>
    drawMarkOut(marks, jacketed).shapes.flatMap((s) => (s.material === 'void' ? s.points[0]![0] : []));
  it('has every mark at its millimetre, the jacket’s only where there is one', () => {
    expect(cuts(false)).toEqual([108, 120, 136, 153]);
    expect(cuts(true)).toEqual([108, 120, 136, 153, 161]);
    expect(drawMarkOut(marks, true).description).toContain('Jacket back to 161.0 mm');
  });
});

describe('the path of a link', () => {
  it('is to scale, and shows how far its end may lie off', () => {
    const { shapes, description } = drawLinkPath([400, 300], [{ angleDeg: 90, radiusMm: 100 }], 3.5);
    const path = shapes.find(({ material }) => material === 'armour')!.points;
    const [end] = path.slice(-1);
    expect([end![0], end![1]]).toEqual([expect.closeTo(500, 6), expect.closeTo(400, 6)]);
    const [a, b] = shapes.find(({ material }) => material === 'void')!.points;
    expect(Math.hypot(b![0] - a![0], b![1] - a![1])).toBeCloseTo(7, 6);
    expect(description).toContain('3.5 mm');
  });
});
