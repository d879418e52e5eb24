import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addMonths } from '../record/calendar';
import { dueOf, historyFactor, nextDue, type Counted, type DueBy } from './due';

const seal = (at: string, rest: Partial<Counted> = {}): Counted => ({ grade: 'detailed', at: `${at}T10:00:00.000Z`, complete: true, sound: true, worst: 0, ...rest }); // prettier-ignore
const by = (rest: Partial<DueBy> = {}): DueBy => ({
  sealed: [seal('2025-03-31')], intervals: { visual: 6, close: 12, detailed: 36 }, capMonths: 36, surroundings: 1, movable: 'fixed', timeZone: 'Europe/London', ...rest,
}); // prettier-ignore
const days = (rest: Partial<DueBy> = {}) => dueOf(by(rest)).map(({ grade, day }) => [grade, day]);

describe('months of the calendar', () => {
  it.each([
    ['2025-01-31', 1, '2025-02-28'],
    ['2024-01-31', 1, '2024-02-29'],
    ['2025-03-31', 6, '2025-09-30'],
    ['2025-11-30', 3, '2026-02-28'],
    ['2025-12-15', 1, '2026-01-15'],
    ['2025-05-05', 0, '2025-05-05'],
  ])('%s and %i is %s', (day, months, then) => expect(addMonths(day, months)).toBe(then));
});

describe('when an entry is due', () => {
  it('a detailed inspection counts for every grade', () =>
    expect(days()).toEqual([['visual', '2025-09-30'], ['close', '2026-03-31'], ['detailed', '2028-03-31']])); // prettier-ignore

  it('a lower grade never resets a higher one, and an incomplete one resets nothing', () => {
    const sealed = [seal('2025-03-31'), seal('2025-08-10', { grade: 'visual' }), seal('2025-12-01', { complete: false })]; // prettier-ignore
    expect(days({ sealed })).toEqual([['visual', '2026-02-10'], ['close', '2026-03-31'], ['detailed', '2028-03-31']]); // prettier-ignore
  });

  it('a grade at which it was never inspected is due first of all', () => {
    const sealed = [seal('2025-03-31', { grade: 'close' })];
    expect(nextDue(by({ sealed }))).toMatchObject({
      grade: 'detailed',
      day: null,
      reasons: ['never', 'site'],
    });
  });

  it('the day is the site’s: sealed late on New Year’s Eve in London it is New Year in Tokyo', () => {
    const sealed = [{ ...seal('2025-12-31'), at: '2025-12-31T16:00:00.000Z' }];
    const visual = (timeZone: string) => dueOf(by({ sealed, timeZone }))[0]!.day;
    expect([visual('Europe/London'), visual('Asia/Tokyo')]).toEqual(['2026-06-30', '2026-07-01']);
  });

  it.each<[string, Partial<DueBy>, number, string[]]>([
    ['surroundings shorten it, rounded to months', { surroundings: 0.7 }, 25, ['site', 'surroundings']],
    ['no interval is longer than the cap', { intervals: { visual: null, close: null, detailed: 48 } }, 36, ['site', 'capped']],
    ['an expert’s reasons raise the cap', { intervals: { visual: null, close: null, detailed: 48 }, capMonths: 60 }, 48, ['site']],
    ['equipment that is moved and opened: six months', { movable: 'moved-and-opened' }, 6, ['site', 'movable']],
    ['none is shorter than a month', { intervals: { visual: null, close: null, detailed: 1 }, surroundings: 0.5 }, 1, ['site', 'surroundings']],
    ['a failed check of level 3 halves it', { sealed: [seal('2025-03-31', { sound: false, worst: 3 })] }, 18, ['site', 'failed']],
    ['one of level 2 does not', { sealed: [seal('2025-03-31', { sound: false, worst: 2 })] }, 36, ['site']],
  ])('%s', (_case, rest, months, reasons) => {
    const detailed = dueOf(by(rest)).at(-1)!;
    expect([detailed.months, detailed.reasons]).toEqual([months, reasons]);
  }); // prettier-ignore

  it('asks for nothing where the site has no programme', () =>
    expect(nextDue(by({ intervals: { visual: null, close: null, detailed: null } }))).toBeNull());

  it('of one day the higher grade is due: it resets the lower ones too', () =>
    expect(nextDue(by({ intervals: { visual: 12, close: 12, detailed: 12 } }))!.grade).toBe('detailed'));
});

describe('what its own history makes of an interval', () => {
  const bad = (at: string) => seal(at, { sound: false, worst: 4 });
  it.each<[string, Counted[], number]>([
    ['two sound ones in a row give a half back', [bad('2025-01-01'), seal('2025-02-01'), seal('2025-03-01')], 0.75],
    ['four give all of it back, and no more', [bad('2025-01-01'), ...[2, 3, 4, 5, 6, 7].map((m) => seal(`2025-0${m}-01`))], 1],
    ['one that is not sound breaks the row', [bad('2025-01-01'), seal('2025-02-01'), seal('2025-03-01', { sound: false, worst: 1 }), seal('2025-04-01')], 0.5],
    ['a visual one neither counts nor breaks it', [bad('2025-01-01'), seal('2025-02-01'), seal('2025-03-01', { grade: 'visual' }), seal('2025-04-01')], 0.75],
    ['each further failure halves it again', [bad('2025-01-01'), bad('2025-02-01')], 0.25],
    ['sound from the start there is nothing to give back', [seal('2025-01-01'), seal('2025-02-01')], 1],
  ])('%s', (_case, sealed, factor) => expect(historyFactor(sealed).factor).toBe(factor)); // prettier-ignore

  it('lies above 0 and at most at 1, whatever the history, in whatever order it is told', () => {
    const one = fc.record({
      grade: fc.constantFrom('visual' as const, 'close' as const, 'detailed' as const),
      at: fc.integer({ min: 0, max: 4000 }).map((day) => new Date(day * 86_400_000).toISOString()),
      complete: fc.boolean(),
      sound: fc.boolean(),
      worst: fc.constantFrom(0 as const, 1 as const, 2 as const, 3 as const, 4 as const),
    });
    const list = fc.uniqueArray(one, { maxLength: 20, selector: ({ at }) => at });
    fc.assert(
      fc.property(list, (sealed) => {
        const { factor } = historyFactor(sealed);
        expect(factor).toBeGreaterThan(0);
        expect(factor).toBeLessThanOrEqual(1);
        expect(historyFactor([...sealed].reverse()).factor).toBe(factor);
        for (const { months } of dueOf(by({ sealed }))) expect(months).toBeGreaterThanOrEqual(1);
      }),
    );
  });
});
