import { describe, expect, it } from 'vitest';
import type { Mineral } from '../../core/record/types';
import { dossierWith, type Change } from '../../core/rulebook/sound-entry.test.data';
import { drawEntry } from '../draw';
import type { Shape } from '../shapes';

const xs = (shapes: Shape[]) => shapes.flatMap(({ points }) => points.map(([x]) => x));
const pot = (change: Change = {}) => drawEntry(dossierWith({ kind: 'mi-pot', ...change }));
const of = (drawing: ReturnType<typeof pot>, material: string, place?: string) =>
  drawing.shapes.filter((s) => s.material === material && (place === undefined || s.place === place));

describe('a mineral-insulated end in section', () => {
  it('shows the sheath as far proud of its thread as it was measured', () => {
    const proud = (mm: number) => {
      const drawing = pot({ truth: { 'pot-projection': [mm] } });
      const end = Math.min(...xs(of(drawing, 'conductor', 'outer-sheath')));
      const thread = Math.min(
        ...xs(of(drawing, 'dimension', 'pot-projection').filter(({ points }) => points.length > 4)),
      );
      return thread - end;
    };
    expect(proud(2)).toBeCloseTo(2, 6);
    expect(proud(3.4)).toBeCloseTo(3.4, 6);
  });

  it.each([2, 3, 4, 5, 6, 7])('draws %i conductors, each in its sleeve', (count) => {
    const conductors = Array.from({ length: count }, (_, i) => String(i + 1));
    const drawing = pot({ mineral: { conductors } });
    expect(of(drawing, 'core')).toHaveLength(count);
    expect(drawing.description).toContain(`${count} conductors`);
  });

  it('has a drain wire only in a screened cable, and a jacket only on a jacketed one', () => {
    const has = (mineral: Partial<Mineral>) => {
      const drawing = pot({ mineral });
      return [of(drawing, 'armour', 'drain-wire').length > 0, of(drawing, 'sheath-outer').length > 0];
    };
    expect(has({ screened: true, jacketed: false })).toEqual([true, false]);
    expect(has({ screened: false, jacketed: true })).toEqual([false, true]);
  });

  it('shows what was found: voids, a tilted pot, a disc that is not home', () => {
    expect(of(pot(), 'void')).toHaveLength(0);
    expect(of(pot({ looks: { 'pot-filled': 'voids' } }), 'void')).toHaveLength(2);
    const rear = (look: string) =>
      of(pot({ looks: { 'pot-square': look } }), 'brass', 'pot-square').map(({ points }) => points[0]![0]);
    const [up, down] = rear('tilted');
    expect(up).not.toBe(down);
    expect(new Set(rear('yes')).size).toBe(1);
    const disc = (look: string) => Math.min(...xs(of(pot({ looks: { 'pot-filled': look } }), 'rubber')));
    expect(disc('disc')).toBeLessThan(disc('yes'));
  });

  it('of a link shows both ends and the path between them with its lengths', () => {
    const link = drawEntry(dossierWith({ kind: 'mi-link' }));
    const one = pot();
    expect(of(link, 'core')).toHaveLength(2 * of(one, 'core').length);
    expect(of(link, 'wall')).toHaveLength(2 * of(one, 'wall').length);
    const said = link.labels.map(({ text }) => text).join(' ');
    expect(said).toContain('sheath 1654.2 ± 3.0 mm, cut 1914.2 mm');
    expect(said).toContain('480 mm, 90° R 130, 946 mm');
    const unknown = drawEntry(dossierWith({ kind: 'mi-link', mineral: { link: null } }));
    expect(unknown.labels.map(({ text }) => text)).toContain('path not recorded');
  });
});
