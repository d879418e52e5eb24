import { describe, expect, it } from 'vitest';
import type { MakeOff } from '../record/types';
import { holdIsMet, mineralRecordsOf, testBefore, testsAfter, worstPair } from './mineral-records';
import { stateOfTest } from './cable-tests';
import { insulationTest, recordsWith, SEALED_AT, type Change } from './sound-entry.test.data';

const open = (change: Change = {}) => {
  const slice = recordsWith({ kind: 'mi-pot', ...change });
  const [entry, cable] = [slice.get('entry', 'e')!, slice.get('cable', 'k')!];
  return { slice, entry, cable, records: () => mineralRecordsOf(slice, entry, cable)! };
};
const at = (time: string) => Date.parse(`2026-03-03T${time}:00.000Z`);

describe('what a mineral-insulated end is judged by', () => {
  it('takes the newest test before its pot was filled, and those after', () => {
    const late = insulationTest('t9', 'before-seal', '2026-03-03T11:00:00.000Z', 5);
    const { records, cable } = open({ tests: [insulationTest('t1', 'before-seal', '2026-03-03T08:45:00.000Z', 90), insulationTest('t2', 'before-seal', '2026-03-03T09:00:00.000Z', 800), insulationTest('t3', 'after-seal', '2026-03-03T09:30:00.000Z', 780), late] }); // prettier-ignore
    expect(testBefore(records(), cable, 'e')!.id).toBe('t2');
    expect(testsAfter(records(), 'e').map(({ id }) => id)).toEqual(['t3']);
    expect(records().sealedAt).toBe(SEALED_AT);
  });

  it('leaves the other end’s sealing and drying-out aside, and takes tests of the finished cable', () => {
    const other = insulationTest('t5', 'after-seal', '2026-03-03T10:00:00.000Z', 3, { entry: 'other' });
    const service = insulationTest('t6', 'in-service', '2026-03-03T12:00:00.000Z', 600);
    const drying = insulationTest('t7', 'after-seal', '2026-03-03T10:30:00.000Z', 2, { drying: true });
    const { records } = open({ tests: [other, service, drying] });
    expect(testsAfter(records(), 'e').map(({ id }) => id)).toEqual(['t6']);
  });

  it('forgets tests, tracing and sealing when the end is cut anew', () => {
    const { slice, records } = open();
    const again: MakeOff = {
      ...slice.get('makeoff', 'w')!,
      id: 'w2',
      at: '2026-03-04T08:00:00.000Z',
      ticks: [],
      finished: null,
    };
    slice.write([{ table: 'makeoff', id: 'w2', after: again }]);
    expect(records()).toMatchObject({ tests: [], continuity: null, sealedAt: null });
    slice.write([{ table: 'makeoff', id: 'w2', after: { ...again, why: 'opening' } }]);
    expect(records().tests).toHaveLength(2);
  });

  it('a filling that was passed over is no sealing', () => {
    const { slice, records } = open();
    const work = slice.get('makeoff', 'w')!;
    const ticks = work.ticks.map((tick) => ({ ...tick, skipped: 'ran out of compound' }));
    slice.write([{ table: 'makeoff', id: 'w', after: { ...work, ticks } }]);
    expect(records().sealedAt).toBeNull();
  });

  it('the hold before sealing asks for a sound test that is still fresh', () => {
    const met = (megohm: number, now: string) => {
      const { records, cable } = open({ sealedAt: null, tests: [insulationTest('t1', 'before-seal', '2026-03-03T09:00:00.000Z', megohm)] }); // prettier-ignore
      return holdIsMet(records(), cable, 'e', 'insulation-before', at(now));
    };
    expect(met(800, '09:15')).toBe(true);
    expect(met(800, '09:16')).toBe(false);
    expect(met(99, '09:05')).toBe(false);
  });

  it('the holds of tracing and of the second test ask for a record', () => {
    const { records, cable } = open();
    expect(holdIsMet(records(), cable, 'e', 'continuity', 0)).toBe(true);
    expect(holdIsMet(records(), cable, 'e', 'insulation-after', 0)).toBe(true);
    const bare = open({ tests: [], traced: null });
    expect(holdIsMet(bare.records(), bare.cable, 'e', 'continuity', 0)).toBe(false);
    expect(holdIsMet(bare.records(), bare.cable, 'e', 'insulation-after', 0)).toBe(false);
    expect(holdIsMet(null, null, 'e', 'continuity', 0)).toBe(false);
  });

  it('names the pair with the least insulation', () => {
    const { cable } = open();
    const test = insulationTest('t1', 'before-seal', '', 800);
    test.readings[3]!.megohm = 300;
    expect(worstPair(stateOfTest(cable, test, 0))).toMatchObject({
      pair: test.readings[3]!.pair,
      judgedMegohm: 300,
    });
    expect(worstPair(stateOfTest(cable, { ...test, readings: [] }, 0))).toBeNull();
  });
});
