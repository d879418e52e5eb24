import { describe, expect, it } from 'vitest';
import { insulationTest } from './sound-entry.test.data';
import type { InsulationTest } from '../record/types';
import { comparedTests } from './compared-tests';

const test = (id: string, at: string, change: Partial<InsulationTest>): InsulationTest => ({
  ...insulationTest(id, 'in-service', at, 500),
  entry: null,
  drying: false,
  ...change,
});
const at = (day: number, hour: number) => new Date(Date.UTC(2026, 4, day, hour)).toISOString();

describe('before and after sealing', () => {
  const damp = test('damp', at(1, 8), { stage: 'before-seal' });
  const dry = test('dry', at(2, 8), { stage: 'before-seal' });
  const after = test('after', at(2, 10), { stage: 'after-seal' });
  const later = test('later', at(3, 10), { stage: 'after-seal' });
  const ids = (tests: InsulationTest[], sealed: string | null, entry = 'e') => {
    const { before, first, later: day } = comparedTests(tests, entry, sealed);
    return [before?.id ?? null, first?.id ?? null, day?.id ?? null];
  };

  it('the test after drying out replaces the damp one', () => {
    expect(ids([dry, damp, after, later], at(2, 9))).toEqual(['dry', 'after', 'later']);
    expect(ids([damp], null)).toEqual(['damp', null, null]);
  });
  it('without a record of the sealing the tests themselves say when it was', () => {
    expect(ids([damp, dry, after, later], null)).toEqual(['dry', 'after', 'later']);
  });
  it('readings while drying, of the other end and before the sealing do not count', () => {
    const others = [
      test('drying', at(2, 8.5), { stage: 'before-seal', drying: true }),
      test('other', at(2, 8.6), { stage: 'before-seal', entry: 'x' }),
      test('early', at(1, 9), { stage: 'after-seal' }),
      test('begun', at(2, 8.8), { stage: 'before-seal', readings: [] }),
    ];
    expect(ids([dry, ...others], at(2, 9))).toEqual(['dry', null, null]);
  });
});
