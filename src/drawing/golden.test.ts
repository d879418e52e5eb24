import { describe, expect, it } from 'vitest';
import { KIND_IDS, type KindId } from '../core/record/kind-ids';
import type { MakeOff } from '../core/record/types';
import { planOf } from '../core/makeoff/plan';
import { stageOf } from '../core/makeoff/stage';
import { dossierWith } from '../core/rulebook/sound-entry.test.data';
import { drawEntry } from './draw';
import type { Drawing, Shape } from './shapes';

/** Millimetres as they are compared: a hundredth is less than anybody draws. */
const mm = (value: number): string => (Math.round(value * 100) / 100 + 0).toFixed(2).replace(/\.?0+$/, '');

function lineOf({ type, material, place, index, points }: Shape): string {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const box = [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)].map(mm).join(' ');
  return [type, material, place ?? '-', index ?? '-', points.length, `[${box}]`].join(' ');
}

/** A drawing as lines: each shape with what it is of and where it reaches. */
const textOf = ({ shapes, labels, box, description }: Drawing): string =>
  [
    description,
    `box [${box.map(mm).join(' ')}]`,
    ...shapes.map(lineOf),
    ...labels.map(({ text, at, anchor }) => `label "${text}" ${anchor} [${at.map(mm).join(' ')}]`),
  ].join('\n');

/** A sound entry of a kind, and one whose make-off is half done. */
function drawn(kind: KindId): string {
  const dossier = dossierWith({ kind });
  const steps = planOf(dossier, { habit: 'body-first', why: 'make-off' }, null).steps.map(({ id }) => id);
  const half = steps.slice(0, Math.floor(steps.length / 2));
  const ticks = half.map((step) => ({ step, initials: 'AV', by: '', at: '', skipped: null }));
  const stage = stageOf(
    planOf(dossier, { habit: 'body-first', why: 'make-off' }, { ticks } as unknown as MakeOff),
  );
  return `finished\n${textOf(drawEntry(dossier))}\n\nhalf-way\n${textOf(drawEntry(dossier, stage))}\n`;
}

describe('the drawing of', () => {
  // A change that is meant is taken over with `npx vitest run --project unit src/drawing/golden.test.ts -u`, and looked at.
  it.each(KIND_IDS)('%s is as it was, shape by shape', async (kind) => {
    await expect(drawn(kind)).toMatchFileSnapshot(`golden/${kind}.txt`);
  });
});
