import { describe, expect, it } from 'vitest';
import { coringFor } from '../../core/rulebook/transit-sealed';
import { dossierWith, type Change } from '../../core/rulebook/sound-entry.test.data';
import { drawEntry } from '../draw';
import { drawCoring } from './coring';
import { blockPlace, drawTransit } from './face';

const KINDS = ['transit-block', 'transit-block-bonded', 'transit-cabinet'] as const;
const radius = (points: readonly (readonly [number, number])[]) => {
  const ys = points.map(([, y]) => y);
  return (Math.max(...ys) - Math.min(...ys)) / 2;
};

describe('the face of a transit', () => {
  it.each(KINDS)('of a %s is to scale: opening, blocks, cable', (kind) => {
    const { shapes, description } = drawEntry(dossierWith({ kind }));
    const blocks = shapes.filter(({ material }) => material === 'rubber');
    expect(blocks).toHaveLength(2);
    expect(radius(blocks[0]!.points) * 2).toBeCloseTo(30 - 0.6, 9);
    expect(blocks[0]!.place).toBe(blockPlace('1', 0, 0, 0));
    const cable = shapes.find(({ material }) => material === 'sheath-outer')!;
    expect(radius(cable.points)).toBeCloseTo(20.7 / 2, 1);
    expect(description).toContain('1 cable');
  });
  it('shows the layers that are left in each half', () => {
    const lines = (layers: [number, number]) => {
      const packed: Change['packed'] = (o) => ({ ...o, rows: o.rows.map((row) => ({ ...row, columns: row.columns.map((c) => ({ ...c, blocks: c.blocks.map((b) => (b.cable ? { ...b, jacket: { ...b.jacket, layers } } : b)) })) })) }); // prettier-ignore
      const drawing = drawTransit(dossierWith({ kind: 'transit-block', packed }));
      return drawing.shapes.filter(({ type, material, place }) => type === 'line' && material === 'dimension' && place === blockPlace('1', 0, 0, 0)).length; // prettier-ignore
    };
    expect(lines([3, 3])).toBeGreaterThan(lines([5, 5]));
  });
  it('the armour side of a bonded block shows the armour', () => {
    const dossier = dossierWith({ kind: 'transit-block-bonded' });
    const has = (side: 'jacket' | 'armour') =>
      drawTransit(dossier, side).shapes.some(({ material }) => material === 'armour');
    expect([has('jacket'), has('armour')]).toEqual([false, true]);
  });
  it('names a plate that is missing and a wedge out of its window', () => {
    const said = (packed: Change['packed']) =>
      drawTransit(dossierWith({ kind: 'transit-block', packed }))
        .labels.map(({ text }) => text)
        .join(' ');
    expect(said((o) => ({ ...o, rows: o.rows.map((row) => ({ ...row, plate: false })) }))).toContain(
      'no plate',
    );
    expect(said((o) => ({ ...o, rows: [] }))).toContain('out of its window');
    expect(said((o) => o)).not.toContain('out of its window');
    expect(said(null)).toContain('not packed yet');
  });
  it('of sealant shows its cables where they lie, a hole only where there is room', () => {
    const dossier = dossierWith({ kind: 'transit-sealant' });
    const [{ frame }] = dossier.transit!.openings as [
      NonNullable<typeof dossier.transit>['openings'][number],
    ];
    const cable = drawTransit(dossier).shapes.find(({ material }) => material === 'sheath-outer')!;
    const xs = cable.points.map(([x]) => x);
    expect((Math.max(...xs) + Math.min(...xs)) / 2).toBeCloseTo(60, 6);
    const gaps = { cableGapMm: 10, wallGapMm: 10, coreClearanceMm: 4 };
    expect(drawCoring(frame, [], coringFor(frame, [], 20, gaps)).description).toContain(
      '24.0 mm can be cored',
    );
    expect(drawCoring(frame, [], coringFor(frame, [], 400, gaps)).description).toContain('No room');
  });
});
