import { describe, expect, it } from 'vitest';
import { cutMarks } from '../../core/makeoff/marks';
import { dossierWith } from '../../core/rulebook/sound-entry.test.data';
import { drawBondedSection } from './bonded-section';

const { block, marks } = cutMarks(dossierWith({ kind: 'transit-block-bonded' }));
const spans = (drawing: ReturnType<typeof drawBondedSection>, material: string) =>
  drawing.shapes.filter((shape) => shape.material === material).map(({ points }) => [Math.min(...points.map(([x]) => x)), Math.max(...points.map(([x]) => x))]); // prettier-ignore

describe('the section of a bonded block', () => {
  it('shows jacket, contact, armour and finish at the millimetres of the marks', () => {
    const drawing = drawBondedSection(block!.sheet, block!.found);
    expect(marks.map(({ id, atMm }) => [id, atMm])).toEqual([['block-jacket', 22], ['block-piece', 32], ['block-armour', 70]]); // prettier-ignore
    expect(spans(drawing, 'sheath-outer')[0]![1]).toBe(22);
    expect(spans(drawing, 'brass')[0]).toEqual([22, 44]);
    expect(spans(drawing, 'armour')[0]![1]).toBe(70);
    // The finish ends with the armour and begins at the face.
    expect(spans(drawing, 'shroud')[0]).toEqual([60, 70]);
    expect(drawing.description).toContain('past the block 10.0 mm');
  });

  it('of a window shows the jacket going on behind it, and no end', () => {
    const sheet = { ...block!.sheet, window: true };
    const drawing = drawBondedSection(sheet, {
      ...block!.found,
      secondMm: 44,
      armourMm: null,
      finishMm: null,
    });
    expect(spans(drawing, 'shroud')).toEqual([]);
    expect(spans(drawing, 'sheath-outer').some(([from]) => from === 44)).toBe(true);
    expect(drawing.description).not.toContain('past the block');
  });
});
