import { describe, expect, it } from 'vitest';
import { KINDS } from '../kinds/kinds';
import { seenTick } from '../kinds/ticks';
import { KIND_IDS } from '../record/kind-ids';
import type { MakeOff } from '../record/types';
import { judge } from '../rulebook/judge';
import { checksOf } from '../rulebook/rules';
import { dossierWith } from '../rulebook/sound-entry.test.data';
import { MISTAKES, type Mistake } from './mistakes';
import { planOf } from './plan';

const RELEVANT = MISTAKES.flatMap((one) =>
  KIND_IDS.filter((kind) => one.kinds(KINDS[kind])).map((kind) => [one.id, kind, one] as const),
);

/** The plan with every step ticked, and whatever else is given. */
const planWith = (kind: (typeof KIND_IDS)[number], extra: string[] = []) => {
  const dossier = dossierWith({ kind, sheet: { shroud: 'shroud' } });
  const ids = planOf(dossier, { habit: 'body-first', why: 'make-off' }, null).all.map(({ id }) => id);
  const ticks = [...ids, ...extra].map((step) => ({ step, initials: 'AV', by: '', at: '', skipped: null }));
  return planOf(dossier, { habit: 'body-first', why: 'make-off' }, { ticks } as unknown as MakeOff);
};

describe.each(RELEVANT)('%s at a %s', (_id, kind, mistake: Mistake) => {
  const at = (step: string) => planWith(kind).all.findIndex(({ id }) => id === step);

  it('is asked about before the work hides it', () => {
    expect(at(mistake.at)).toBeGreaterThanOrEqual(0);
    expect(at(mistake.before)).toBeGreaterThan(at(mistake.at));
  });

  it('holds the work up where it happens', () => {
    const step = planWith(kind).all[at(mistake.at)]!;
    if (mistake.hold !== null) expect(step.hold?.id).toBe(mistake.hold);
    if (mistake.seen === null) return;
    const open = step.seen.find(({ key }) => key === mistake.seen);
    expect(open?.tick).toBeNull();
    const seen = planWith(kind, [seenTick(mistake.seen)]).all[at(mistake.at)]!;
    expect(seen.seen.find(({ key }) => key === mistake.seen)?.tick).not.toBeNull();
  });

  it('is a finding of its check afterwards', () => {
    expect(checksOf(kind)).toContain(mistake.check);
    if (mistake.look === null) return;
    const [look, answer] = mistake.look;
    const found = judge(
      dossierWith({ kind, sheet: { shroud: 'shroud' }, looks: { [look]: answer } }),
      'detailed',
      '',
    );
    expect(found.find(({ check }) => check === mistake.check)?.outcome).toMatch(/fails|marginal|unread/);
    const sound = judge(dossierWith({ kind, sheet: { shroud: 'shroud' } }), 'detailed', '');
    expect(sound.find(({ check }) => check === mistake.check)?.outcome).toMatch(/conforms|not-applicable/);
  });
});

it('every mistake happens at some kind, and each kind has one', () => {
  expect(MISTAKES.filter((one) => !RELEVANT.some(([id]) => id === one.id))).toEqual([]);
  const without = KIND_IDS.filter((kind) => !RELEVANT.some(([, of]) => of === kind));
  expect(without).toEqual(['transit-sealant']);
});
