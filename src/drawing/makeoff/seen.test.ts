import { describe, expect, it } from 'vitest';
import { KINDS } from '../../core/kinds/kinds';
import { KIND_IDS } from '../../core/record/kind-ids';
import { drawingToSvg } from '../svg';
import { LOOK } from '../proportions';
import { seenPictures } from './seen';

const keys = new Set(KIND_IDS.flatMap((kind) => KINDS[kind].steps.flatMap(({ seen }) => seen)));

/** What is written on a permit, counted, felt or known: no picture tells it. */
const TOLD_BY_NO_PICTURE = [
  'dead', 'identified', 'gas-test', 'certified', 'ring-range', 'nut-scale', 'core-count', 'no-metal', 'barrel-still',
  'kit-whole', 'warm', 'solvent-dry', 'still-soft', 'inside-clean', 'second-time', 'plate-order',
]; // prettier-ignore

describe('right beside wrong of what is ticked as seen', () => {
  it.each([...keys].filter((key) => !TOLD_BY_NO_PICTURE.includes(key)))(
    '%s: both stay on their paper, differ and have words',
    (key) => {
      const { right, wrong, rightWords, wrongWords } = seenPictures(key)!;
      expect(rightWords).not.toBe(wrongWords);
      expect(drawingToSvg(right, {})).not.toBe(drawingToSvg(wrong, {}).replace('Wrong', 'Right'));
      const at = [right, wrong].flatMap(({ shapes, labels }) => [
        ...shapes.flatMap(({ points }) => points),
        ...labels.map((label) => label.at),
      ]);
      for (const [x, y] of at) {
        expect(x).toBeGreaterThanOrEqual(-0.01);
        expect(x).toBeLessThanOrEqual(LOOK.width + 0.01);
        expect(y).toBeGreaterThanOrEqual(-0.01);
        expect(y).toBeLessThanOrEqual(LOOK.height + 0.01);
      }
    },
  );

  it('there is none of what no eye tells', () =>
    expect(TOLD_BY_NO_PICTURE.filter((key) => seenPictures(key) !== null)).toEqual([]));
});
