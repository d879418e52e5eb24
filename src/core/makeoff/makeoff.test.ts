import { describe, expect, it } from 'vitest';
import { apply } from '../commands/apply';
import type { AnyCommand } from '../commands/commands';
import { KIND_IDS } from '../record/kind-ids';
import { KINDS } from '../kinds/kinds';
import type { MemorySlice } from '../record/slice';
import type { ArmourEnd, Why } from '../record/types';
import { currentRound, dossierOf } from '../rulebook/dossier';
import { judge } from '../rulebook/judge';
import { dossierWith, recordsWith, type Change } from '../rulebook/sound-entry.test.data';
import { statement } from '../words/en/findings';
import { TIMED_STEPS } from '../words/en/kinds/steps';
import { clocksOfSite } from './clocks';
import { cutMarks } from './marks';
import { planOf } from './plan';

const steps = (change: Change, habit: 'body-first' | 'cable-first' = 'body-first', why: Why = 'make-off') =>
  planOf(dossierWith(change), { habit, why }, null);
let made = 0;
const give = (slice: MemorySlice, kind: string, payload: object, at = '2026-03-04T12:00:00.000Z') => {
  const command = { id: `m${++made}`, kind, site: 's', at, payload };
  slice.write(apply(slice, command as unknown as AnyCommand, 'A. Vell'));
};
const START = { id: 'w', entry: 'e', round: 'r', why: 'make-off', habit: 'body-first' };
const tick = (step: string, skipped: string | null = null) => ({ id: 'w', step, initials: 'AV', skipped });

describe('cut marks', () => {
  it('lie at tail, tail + seal + proud, and that + armour', () => {
    const { marks, from, missing } = cutMarks(dossierWith());
    expect([from, missing]).toEqual(['conductor-ends', []]);
    expect(marks.map(({ id, atMm, lowMm, highMm }) => [id, atMm, lowMm, highMm])).toEqual([
      ['inner-sheath', 180, 179, 181],
      ['armour', 202, 201, 203],
      ['outer-sheath', 219.5, 217, 222],
    ]);
  });
  it('an unarmoured cable has two of them, a pot ends the inner sheath at its mouth', () => {
    expect(cutMarks(dossierWith({ kind: 'gland-plain' })).marks.map(({ atMm }) => atMm)).toEqual([180, 202]);
    expect(cutMarks(dossierWith({ kind: 'gland-barrier' })).marks[1]!.atMm).toBe(197);
  });
  it('say what is missing, and measure from the inner cut where the tail is not known', () => {
    const none = cutMarks(dossierWith({ entry: { tailMm: null } }));
    expect([none.from, none.missing, none.marks[0]!.atMm]).toEqual(['inner-cut', ['tail'], 22]);
    expect(none.marks.every(({ atMm }) => atMm > 0)).toBe(true);
    expect(cutMarks(dossierWith({ kind: 'mi-pot', entry: { tailMm: null } })).marks).toEqual([]);
    expect(cutMarks(dossierWith({ size: { innerProudMm: null } })).missing).toEqual(['inner-proud']);
    expect(cutMarks(dossierWith({ size: { sealDepthMm: null } })).missing).toEqual(['seal-depth']);
    expect(cutMarks(dossierWith({ size: { armourLengthMm: null } })).missing).toEqual(['armour-length']);
    expect(cutMarks(dossierWith({ entry: { size: null } })).missing).toEqual(['size']);
  });
});

describe('cut marks of a mineral-insulated end', () => {
  const marks = (change: Change = {}) => cutMarks(dossierWith({ kind: 'mi-pot', ...change }));
  it('are all measured from the fresh square cut, in the order along the cable', () => {
    const { from, marks: all } = marks({ entry: { tailMm: 120 }, mineral: { jacketed: true } });
    expect(from).toBe('square-cut');
    expect(all.map(({ id, atMm }) => [id, atMm])).toEqual([
      ['screen', 110], ['strip', 120], ['pot', 130], ['jacket', 150], ['stop', 153],
    ]); // prettier-ignore
    expect(all.find(({ id }) => id === 'pot')).toMatchObject({ lowMm: 129, highMm: 131 });
  });
  it('leave out screen and jacket where there is none', () =>
    expect(marks({ mineral: { screened: false } }).marks.map(({ id }) => id)).toEqual([
      'strip',
      'pot',
      'stop',
    ]));
  it('say what is missing', () => {
    expect(marks({ entry: { tailMm: null } }).missing).toEqual(['tail']);
    expect(marks({ size: { mineral: null } }).missing).toEqual(['pot']);
    expect(marks({ entry: { size: null } }).missing).toEqual(['size']);
  });
});

describe('the plan', () => {
  it.each(KIND_IDS)('of %s has every step once in both habits, and its body in the right place', (kind) => {
    const first = steps({ kind }).steps.map(({ id }) => id);
    const second = steps({ kind }, 'cable-first').steps.map(({ id }) => id);
    expect([...second].sort()).toEqual([...first].sort());
    expect(new Set(first).size).toBe(first.length);
    if (KINDS[kind].transit) return expect(second).toEqual(first);
    // A mineral-insulated end goes into the box last, whatever the habit.
    if (KINDS[kind].mineral)
      return expect(first.indexOf('gland-in')).toBeGreaterThan(first.indexOf('test-after'));
    expect(first.indexOf('body')).toBeLessThan(
      first.indexOf(KINDS[kind].armour === 'none' ? 'strip-outer' : 'cut-armour'),
    );
    // Nothing is cut before it is safe and laid out.
    expect(first.slice(0, 2)).toEqual(['safe', 'lay-out']);
    expect(second.slice(0, 2)).toEqual(['safe', 'lay-out']);
    const at = second.indexOf('outer-seal');
    expect(second.indexOf('body')).toBe(at - 1);
  });
  it('of a transit has no cut marks, and fetches blocks, plates and wedge', () => {
    const plan = steps({ kind: 'transit-block' });
    expect(plan.marks.marks).toEqual([]);
    expect(plan.parts).toEqual([[{ is: 'block-pair', sizeMm: 30 }, 2], [{ is: 'stay-plate' }, 1], [{ is: 'compression-unit' }, 1]]); // prettier-ignore
    const sealed = steps({ kind: 'transit-sealant' }).parts;
    expect(sealed.map(([{ is }]) => is)).toEqual(['sleeve', 'sealant']);
    expect(sealed.every(([, count]) => count > 0)).toBe(true);
  });
  it('leaves out what does not apply', () => {
    const plan = steps({});
    expect(plan.steps.map(({ id }) => id)).not.toContain('shroud');
    expect(plan.slipOn.map(({ id }) => id)).toEqual(['back-nut', 'middle-nut', 'ring']);
    expect(steps({ sheet: { shroud: 'boot' } }).slipOn[0]!.id).toBe('shroud');
    expect(steps({ size: { inner: null } }).steps.map(({ id }) => id)).not.toContain('inner-seal');
  });
  it('closes each joint by its school, with tools, parts and packs', () => {
    const plan = steps({ kind: 'gland-barrier', pour: null });
    const body = plan.steps.find(({ id }) => id === 'body')!;
    expect(body.closing).toMatchObject({
      joint: { school: 'torque', range: [30, 40] },
      answer: 'torque-entry',
    });
    expect(plan.tools).toEqual(
      expect.arrayContaining(['torque-driver', 'thermometer', 'armour-saw-or-rotary-cutter']),
    );
    expect(plan.parts).toContainEqual([{ is: 'compound', name: 'Dessel compound', packMl: 40 }, 1]);
  });
  it('of an opening slips nothing on and packs nothing, but looks at the armour again', () => {
    const plan = steps({ kind: 'gland-barrier' }, 'body-first', 'opening');
    expect(plan.slipOn).toEqual([]);
    const ids = plan.steps.map(({ id }) => id);
    expect(ids).not.toContain('pack');
    expect(ids).toContain('dry-clamp');
    expect(plan.parts).toContainEqual([{ is: 'outer-seal', size: 'S3' }, 1]);
    // From outside inwards, then the look, then what is mended and closed.
    expect(ids.slice(0, 5)).toEqual(['safe', 'lay-out', 'undo-outer', 'undo-clamp', 'look-open']);
    expect(ids.indexOf('mend')).toBeGreaterThan(ids.indexOf('look-open'));
    expect(plan.steps.find(({ id }) => id === 'undo-clamp')!.grip).toMatchObject({
      turned: 'clamp-nut',
      loosens: true,
    });
  });
  it.each(KIND_IDS.filter((kind) => !KINDS[kind].transit))(
    'of an opened %s undoes something, looks, and cuts nothing',
    (kind) => {
      const opened = steps({ kind }, 'body-first', 'opening').steps;
      expect(opened.some(({ grip }) => grip?.loosens)).toBe(true);
      expect(opened.map(({ id }) => id)).toContain('look-open');
      for (const cut of ['cut-armour', 'strip-outer', 'strip-sheath', 'pack', 'inject', 'fill', 'engage'])
        expect(opened.map(({ id }) => id)).not.toContain(cut);
    },
  );
  it.each(KIND_IDS.filter((kind) => KINDS[kind].transit))(
    'of one cable of a %s cuts nothing of the others, and closes as new',
    (kind) => {
      for (const why of ['cable-out', 'cable-in'] as const) {
        const ids = steps({ kind }, 'body-first', why).steps.map(({ id }) => id);
        expect(ids.slice(0, 3)).toEqual(['safe', 'lay-out', 'close-off']);
        expect(ids).toContain('other-side');
        expect(ids).not.toContain('frame-clean');
      }
    },
  );
});

describe('how long a step takes', () => {
  const minutes = (change: Change, words: string) =>
    steps(change).all.find((step) => step.words === words)!.minutes;
  it('is what the site says, else what it usually takes', () => {
    const here = { site: { usualMinutes: [{ step: 'spread', minutes: 11 }] } };
    expect([minutes({}, 'spread'), minutes(here, 'spread'), minutes(here, 'dry-clamp')]).toEqual([3, 11, 6]);
  });
  it('has a title for every step of every kind', () =>
    expect(
      KIND_IDS.flatMap((kind) => KINDS[kind].steps.map(({ words }) => words)).filter(
        (words) => !(words in TIMED_STEPS),
      ),
    ).toEqual([]));
});

describe('the finish of the armour in a bonded block', () => {
  const marks = (armourEnd: ArmourEnd | null) =>
    planOf(
      dossierWith({ kind: 'transit-block-bonded' }),
      { habit: 'body-first', why: 'make-off', armourEnd },
      null,
    ).marks;
  it('is its own sheath, as long as the overhang, where nobody chose', () =>
    expect(marks(null).marks.map(({ id }) => id)).toEqual(['block-jacket', 'block-piece', 'block-armour']));
  it('needs no second cut under a tube, and moves the armour’s cut with its overhang', () => {
    const { overhangMm, blockDepthMm } = marks(null).block!.sheet;
    const longer = marks({ finish: 'tube', finishMm: overhangMm, overhangMm: overhangMm + 6 });
    expect(longer.marks.map(({ id }) => id)).toEqual(['block-jacket', 'block-armour']);
    expect(longer.marks[1]!.atMm).toBe(blockDepthMm + overhangMm + 6);
    expect(longer.block!.found.faults).toEqual([]);
    expect(marks({ finish: 'tube', finishMm: overhangMm + 1, overhangMm }).block!.found.faults).toEqual(['finish-inside']); // prettier-ignore
  });
});

describe('a diaphragm', () => {
  it('is closed by its clamp, and the inner sheath measured then', () => {
    const { all } = steps({ kind: 'gland-diaphragm' });
    const clamp = all.find(({ words }) => words === 'clamp-diaphragm')!;
    expect([clamp.hold?.id, clamp.closing?.joint.joint]).toEqual(['inner-proud', 'clamp']);
  });
});

describe('work on an entry', () => {
  it('goes on where it was, one at a time, and ends with the as-left record', () => {
    const slice = recordsWith();
    give(slice, 'makeoff.start', START);
    expect(() => give(slice, 'makeoff.start', { ...START, id: 'w2' })).toThrow('work.running');
    give(slice, 'makeoff.tick', tick('part-back-nut'));
    give(slice, 'makeoff.tick', tick('body'));
    expect(() => give(slice, 'makeoff.tick', tick('mix'))).toThrow('step.none');
    const dossier = dossierOf(slice, 'e', currentRound(slice, 'e', 's'))!;
    const plan = () => planOf(dossier, { habit: 'body-first', why: 'make-off' }, slice.get('makeoff', 'w'));
    expect(plan().next).toBe('safe');
    for (const { id } of plan().steps.slice(
      0,
      plan().all.findIndex(({ slips }) => slips),
    ))
      give(slice, 'makeoff.tick', tick(id));
    expect(plan().next).toBe('part-middle-nut');
    give(slice, 'makeoff.untick', { id: 'w', step: 'part-back-nut' });
    expect(plan().next).toBe('part-back-nut');
    give(slice, 'asleft.seal', { id: 'al', entry: 'e', round: 'r', why: 'make-off', outerSeal: 'replaced', innerSeal: 'replaced', note: '' }); // prettier-ignore
    expect(slice.get('makeoff', 'w')!.finished).toBe('2026-03-04T12:00:00.000Z');
    expect(() => give(slice, 'makeoff.tick', tick('bond'))).toThrow('sealed');
  });

  it.each([
    ['dry-clamp', 'armour-seated', 'E-14'],
    ['strip-outer', 'armour-length', 'E-21'],
    ['inner-seal', 'inner-proud', 'E-20'],
    ['body', 'thread-engagement', 'E-08'],
    ['outer-seal', 'back-nut-gap', 'E-19'],
    ['bond', 'bond', 'E-23b'],
  ])(
    'a hold point of %s that is passed over is a finding with the name and the reason',
    (step, hold, check) => {
      const slice = recordsWith({ looks: { [hold]: null }, truth: { [hold]: [] } });
      give(slice, 'makeoff.start', START);
      give(slice, 'makeoff.tick', tick(step, 'no light left'));
      const found = (round: string) =>
        judge(dossierOf(slice, 'e', slice.get('round', round))!, 'detailed', '').find(
          (f) => f.check === check,
        )!;
      expect(found('r').outcome).toBe('unread');
      expect(statement(found('r'))).toMatch(/passed over at make-off by A\. Vell.*No light left\./);
      // Sealed with the hold point skipped, it stays one in the rounds after.
      give(slice, 'asleft.seal', { id: 'al', entry: 'e', round: 'r', why: 'make-off', outerSeal: 'replaced', innerSeal: 'replaced', note: '' }); // prettier-ignore
      const later = {
        ...slice.get('round', 'r')!,
        id: 'later',
        started: '2026-09-01',
        site: undefined,
        rev: undefined,
      };
      give(slice, 'round.add', later);
      expect(found('later').outcome).toBe('unread');
      // What can still be seen from outside is asked for again.
      if (step !== 'outer-seal') expect(statement(found('later'))).toContain('passed over');
      if (step === 'dry-clamp') {
        give(slice, 'look.answer', {
          id: 'l9',
          entry: 'e',
          round: 'later',
          look: hold,
          answer: 'yes',
          photo: null,
        });
        expect(found('later').outcome).toBe('conforms');
      }
    },
  );
});

describe('the clocks of a site', () => {
  const at = (iso: string) => `2026-03-01T${iso}:00.000Z`;
  const clocks = (pour: object) => clocksOfSite(recordsWith({ kind: 'gland-barrier', pour }), 's');
  it('run on the working life until it is packed', () => {
    const { clocks: found } = clocks({ packedAt: null, lookedAt: null, lowestC: null, temperatureC: 30 });
    // 30 min at 20 °C, halved per 10 K.
    expect(found.map(({ is, due }) => [is, due])).toEqual([['working-life', at('09:15')]]);
  });
  it('then on look and energise, by the lowest temperature since packing', () => {
    const { clocks: found, late } = clocks({ lookedAt: null, lowestC: 10, temperatureC: 20 });
    expect(found.map(({ is, due }) => [is, due])).toEqual([['look', at('17:20')], ['energise', at('21:20')]]); // prettier-ignore
    expect([found[0]!.stopped, late]).toEqual([false, []]);
    expect(clocks({ lookedAt: null, lowestC: 2 }).clocks[0]!.stopped).toBe(true);
  });
  it('drop the look once it is done, and flag a pot that was packed too late', () => {
    const { clocks: found, late } = clocks({ packedAt: at('09:42') });
    expect(found.map(({ is }) => is)).toEqual(['energise']);
    expect(late).toMatchObject([{ where: { tag: 'JB-1', label: 'A' } }]);
    expect(late[0]!.byMin).toBeCloseTo(12, 9);
  });
  it('know nothing any more once the entry is sealed as left after the look', () => {
    const slice = recordsWith({ kind: 'gland-barrier' });
    give(slice, 'asleft.seal', { id: 'al', entry: 'e', round: 'r', why: 'make-off', outerSeal: 'replaced', innerSeal: 'replaced', note: '' }); // prettier-ignore
    expect(clocksOfSite(slice, 's').clocks).toEqual([]);
  });
  it('count a sound insulation test down until it is too old to seal by', () => {
    const limits = {
      conductors: ['L'],
      screened: false,
      jacketed: false,
      testVoltage: 500,
      newMegohm: 100,
      serviceMegohm: 20,
      windowMin: 15,
      fallFactor: 2,
      sheathMm2: null,
      sheathC: null,
      earthLimitOhm: null,
      link: null,
    };
    const slice = recordsWith({ cable: { mineral: limits } });
    const readings = (megohm: number) => [
      { pair: 'L-sheath', megohm, saturated: false, by: '', at: at('09:05') },
    ];
    const test = (id: string, change: object) => ({
      id, site: 's', cable: 'k', entry: null, stage: 'before-seal', drying: false, instrument: 'c', temperatureC: 20, farEndSealed: true,
      readings: readings(500), by: '', at: at('09:00'), ...change,
    }); // prettier-ignore
    const due = (change: object, nowMs?: number) => {
      slice.write([{ table: 'insulation', id: 'i', after: test('i', change) as never }]);
      return clocksOfSite(slice, 's', nowMs).clocks.map(({ is, due: when, cable }) => [is, when, cable]);
    };
    expect(due({})).toEqual([['stale-test', at('09:20'), 'k']]);
    expect(due({}, Date.parse(at('09:20')) + 25 * 3_600_000)).toEqual([]);
    expect(due({ readings: [] })).toEqual([]);
    expect(due({ readings: readings(40) })).toEqual([]);
    expect(due({ stage: 'after-seal' })).toEqual([]);
  });
});
