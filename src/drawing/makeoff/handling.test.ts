import { describe, expect, it } from 'vitest';
import { KINDS } from '../../core/kinds/kinds';
import { handlingOf } from '../../core/kinds/steps';
import { KIND_IDS } from '../../core/record/kind-ids';
import { ARMOUR_TYPES } from '../../core/record/types';
import { LOOK } from '../proportions';
import { drawHandling } from './handling';

const cable = (count: number) => ({ cable: { cores: [{ count, areaMm2: 4, diameterMm: 4 }] } }) as never;
const steps = KIND_IDS.flatMap((kind) => KINDS[kind].steps).flatMap((step) =>
  ARMOUR_TYPES.map((armour) => ({ ...step, words: handlingOf(step, armour) })),
);
const drawn = [...new Map(steps.map((step) => [step.words, step])).values()].flatMap((step) => {
  const drawing = drawHandling(step, cable(4));
  return drawing ? [[step.words, step, drawing] as const] : [];
});

describe('the picture of a step', () => {
  it.each(drawn)(
    '%s stays on its paper and says what is done',
    (_words, step, { shapes, labels, description }) => {
      for (const [x, y] of [...shapes.flatMap(({ points }) => points), ...labels.map(({ at }) => at)]) {
        expect(x).toBeGreaterThanOrEqual(-0.01);
        expect(x).toBeLessThanOrEqual(LOOK.width + 0.01);
        expect(y).toBeGreaterThanOrEqual(-1.01);
        expect(y).toBeLessThanOrEqual(LOOK.height + 1.01);
      }
      expect(description.length).toBeGreaterThan(10);
      if (step.grip) expect(description).toContain(step.grip.loosens ? 'loosen' : 'turn');
    },
  );

  it('is there for every step of every kind', () => {
    const words = new Set(drawn.map(([key]) => key));
    expect(steps.filter(({ words: key }) => !words.has(key)).map(({ words: key }) => key)).toEqual([]);
  });

  it('shows as many cores as the cable has, five at most', () => {
    const cores = (count: number) =>
      drawHandling({ words: 'cores', grip: null }, cable(count))!.shapes.filter(
        ({ material }) => material === 'core',
      );
    expect([1, 3, 12].map((count) => cores(count).length)).toEqual([1, 3, 5]);
  });

  it('there is none of what nobody drew', () =>
    expect(drawHandling({ words: 'unheard-of', grip: null }, cable(4))).toBeNull());
});
