import { describe, expect, it } from 'vitest';
import { cutMarks } from '../../core/makeoff/marks';
import { planOf } from '../../core/makeoff/plan';
import { FINISHED, stageOf } from '../../core/makeoff/stage';
import { KIND_IDS } from '../../core/record/kind-ids';
import { KINDS } from '../../core/kinds/kinds';
import type { MakeOff } from '../../core/record/types';
import { dossierWith } from '../../core/rulebook/sound-entry.test.data';
import { drawEntry } from '../draw';
import { drawRuler, rulerLength, rulerStrips, STRIP_MM } from './ruler';
import { drawSlipOn } from './slip-on';

const widest = (points: readonly (readonly [number, number])[]) => Math.max(...points.map(([x]) => x));

describe('the ruler', () => {
  const cuts = cutMarks(dossierWith());
  it('stands at its own millimetres: every mark at its figure, the bar 50 mm long', () => {
    const { shapes } = drawRuler(cuts);
    const lines = shapes.filter((s) => s.type === 'line');
    for (const { atMm } of cuts.marks) {
      expect(lines.some(({ material, points }) => material === 'void' && points[0]![0] === atMm)).toBe(true);
    }
    expect(lines.some(({ points: [a, b] }) => a![0] === 0 && b![0] === 50 && a![1] === b![1])).toBe(true);
  });
  it('is printed in strips of one length that leave nothing out, each mark on one of them', () => {
    const strips = rulerStrips(cuts);
    expect(strips[0]![0]).toBe(0);
    strips.forEach(([from, to], i) => {
      expect(to - from).toBe(STRIP_MM);
      if (i > 0) expect(from).toBe(strips[i - 1]![1]);
    });
    expect(strips[strips.length - 1]![1]).toBeGreaterThanOrEqual(rulerLength(cuts));
    const drawn = strips.flatMap((range) =>
      drawRuler(cuts, range).shapes.filter(({ material }) => material === 'void'),
    );
    expect(drawn).toHaveLength(cuts.marks.length);
  });
  it('of a long tail only the end is printed, with every mark', () => {
    const long = cutMarks(dossierWith({ entry: { tailMm: 900 } }));
    const strips = rulerStrips(long);
    expect(strips[0]![0]).toBe(840);
    const drawn = strips.flatMap((range) =>
      drawRuler(long, range).shapes.filter(({ material }) => material === 'void'),
    );
    expect(drawn).toHaveLength(long.marks.length);
  });
});

describe('the drawing beside the step', () => {
  const ticked = (kind: (typeof KIND_IDS)[number], steps: string[]) => {
    const dossier = dossierWith({ kind });
    const ticks = steps.map((step) => ({ step, initials: 'AV', by: '', at: '', skipped: null }));
    const work = { ticks } as unknown as MakeOff;
    return { dossier, stage: stageOf(planOf(dossier, { habit: 'body-first', why: 'make-off' }, work)) };
  };
  it.each(KIND_IDS.filter((kind) => !KINDS[kind].transit))(
    'of %s grows from the bare cable to the finished entry',
    (kind) => {
      const start = ticked(kind, []);
      const all = planOf(start.dossier, { habit: 'body-first', why: 'make-off' }, null).steps.map(
        ({ id }) => id,
      );
      const done = ticked(kind, all);
      expect(done.stage).toEqual(FINISHED);
      expect(drawEntry(done.dossier, done.stage)).toEqual(drawEntry(done.dossier));
      const bare = drawEntry(start.dossier, start.stage);
      const materials = (d: ReturnType<typeof drawEntry>) =>
        new Set(d.shapes.map(({ material }) => material));
      expect(materials(bare).has('wall')).toBe(false);
      expect(materials(bare).has('core')).toBe(false);
      let before = bare.shapes.length;
      for (let i = 1; i <= all.length; i++) {
        const now = drawEntry(start.dossier, ticked(kind, all.slice(0, i)).stage).shapes.length;
        expect(now).toBeGreaterThanOrEqual(before);
        before = now;
      }
    },
  );
  it('keeps what is not in its place yet further out on the cable', () => {
    const seal = (steps: string[]) => {
      const { dossier, stage } = ticked('gland-double-seal', steps);
      const rubber = drawEntry(dossier, stage).shapes.filter(
        (s) => s.place === 'outer-sheath' && s.material === 'rubber',
      );
      return Math.max(...rubber.map(({ points }) => widest(points)));
    };
    expect(seal(['body'])).toBeGreaterThan(seal(['body', 'outer-seal']) + 10);
  });
});

describe('slipping on', () => {
  it('shows the parts that are on, the one that goes on now with its arrow', () => {
    const { slipOn } = planOf(
      dossierWith({ sheet: { shroud: 'shroud' } }),
      { habit: 'body-first', why: 'make-off' },
      null,
    );
    const texts = (next: string | null) => drawSlipOn(slipOn, next).labels.map(({ text }) => text);
    expect(texts('middle-nut')).toEqual(
      expect.arrayContaining(['1 shroud', '2 back nut with outer seal', '3 middle nut']),
    );
    expect(texts('middle-nut')).not.toContain('4 clamping ring');
    expect(texts(null)).toContain('4 clamping ring');
    expect(drawSlipOn(slipOn, 'shroud').shapes.some(({ material }) => material === 'void')).toBe(true);
    expect(drawSlipOn(slipOn, null).description).toContain('shroud, wide end towards the gland');
  });
});
