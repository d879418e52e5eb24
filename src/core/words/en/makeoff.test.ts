import { describe, expect, it } from 'vitest';
import type { Connection } from '../../finder/connection';
import { clocksOfSite } from '../../makeoff/clocks';
import { planOf } from '../../makeoff/plan';
import type { Joint, School } from '../../record/types';
import { dossierWith, recordsWith } from '../../rulebook/sound-entry.test.data';
import { CLOCK_WORDS, closingWords, connectionWords, DUE_WORDS, MISSING_WORDS, span } from './makeoff';

describe('how far a joint is closed', () => {
  const joint = (school: School, range: Joint['range']) => ({
    joint: { joint: 'clamp' as const, school, range },
    answer: null,
    gap: null,
  });
  it.each([
    ['turns', [0.75, 1], 'Armour clamp: 0.75 to 1.0 turns after hand-tight.'],
    ['torque', [30, 40], 'Armour clamp: 30.0 to 40.0 N·m.'],
    ['faces', null, 'Armour clamp: until the faces meet.'],
    ['grip', null, 'Armour clamp: until it clearly grips, then a tug.'],
    ['gap', null, 'measure the outer sheath first'],
    ['turns', null, 'the sheet gives no limits'],
    ['torque', null, 'the sheet gives no limits'],
  ] as const)('%s %j', (school, range, words) => {
    expect(closingWords(joint(school, range as Joint['range']))).toContain(words);
  });
  it('by gap, with the gap for the cable as measured', () => {
    const joints = [{ joint: 'outer-seal' as const, school: 'gap' as const, range: null }];
    const plan = planOf(dossierWith({ sheet: { joints } }), { habit: 'body-first', why: 'make-off' }, null);
    const { closing } = plan.steps.find(({ id }) => id === 'outer-seal')!;
    expect(closingWords(closing!)).toMatch(
      /until the gap under the back nut is [\d.]+ to [\d.]+ mm, on a cable of 20\.7/,
    );
  });
});

describe('what stands between gland and hole', () => {
  const said = (rest: Partial<Connection>) =>
    connectionWords({ how: 'direct', adaptor: null, note: null, ...rest });
  it.each([
    [{}, 'Straight into the thread'],
    [{ how: 'locknut' }, 'washer and locknut'],
    [
      { how: 'adaptor', adaptor: { what: 'reducer', male: 'M25x1.5', female: 'M20x1.5' } },
      'With one reducer, M25x1.5 to M20x1.5.',
    ],
    [
      { how: 'adaptor', adaptor: { what: 'adaptor', male: 'Pg 13.5', female: 'M20x1.5' }, note: 'near-miss' },
      'never force',
    ],
    [{ how: 'impossible', note: 'one-adaptor-only' }, 'takes one at most'],
    [{ how: 'impossible', note: 'clearance-on-flameproof' }, 'no flameproof joint'],
    [{ how: 'impossible', note: 'hole-small' }, 'does not go through'],
    [{ how: 'impossible', note: 'hole-wide' }, 'too wide'],
    [{ how: 'impossible', note: 'hole-unknown' }, 'measure it'],
  ] as [Partial<Connection>, string][])('%j', (rest, words) => expect(said(rest)).toContain(words));
});

describe('a span of time', () => {
  const s = 1000;
  it.each([
    [-5 * s, '0 min 00 s'],
    [0, '0 min 00 s'],
    [9 * s, '0 min 09 s'],
    [599 * s, '9 min 59 s'],
    [600 * s, '10 min'],
    [3599 * s, '59 min'],
    [3600 * s, '1 h 00 min'],
    [5 * 3600 * s + 61 * s, '5 h 01 min'],
    [86_400 * s, '1 d 0 h'],
    [3 * 86_400 * s + 7200 * s, '3 d 2 h'],
  ])('%i ms is %s', (ms, words) => expect(span(ms)).toBe(words));
});

describe('words of clocks and marks', () => {
  it('say for each clock what to do before and after it runs out', () => {
    expect(Object.keys(CLOCK_WORDS)).toEqual(Object.keys(DUE_WORDS));
    const { clocks } = clocksOfSite(recordsWith({ kind: 'gland-barrier', pour: { lookedAt: null } }), 's');
    for (const { is } of clocks)
      expect([CLOCK_WORDS[is], DUE_WORDS[is]].every((words) => words.length > 8)).toBe(true);
  });
  it('say for each missing figure where it is recorded', () => {
    for (const words of Object.values(MISSING_WORDS))
      expect(words).toMatch(/(Measure|record|Complete|choose)[^.]*\.$/);
  });
});
