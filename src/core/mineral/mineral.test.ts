import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apply } from '../commands/apply';
import type { AnyCommand } from '../commands/commands';
import { recordsWith } from '../rulebook/sound-entry.test.data';
import type { Cable, InsulationTest } from '../record/types';
import { fallsBetween, historyOf, stateOfTest } from '../rulebook/cable-tests';
import { pairsOf } from './insulation';
import { linkLengths, linkPath, linkToleranceMm } from './link';
import { endMarks } from './marks';
import { crossingOf, dryingState, fitTrend } from './trend';

const LIMITS = {
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
const slice = recordsWith({ cable: { mineral: { ...LIMITS, conductors: ['L', 'N'] } } });
const cable = slice.get('cable', 'k') as Cable;
const NOW = Date.parse('2026-03-04T10:10:00Z');
const PAIRS = ['L-N', 'L-sheath', 'N-sheath'];

const test = (megohms: number[], rest: Partial<InsulationTest> = {}): InsulationTest => ({
  id: 't', site: 's', cable: 'k', entry: null, stage: 'before-seal', drying: false, instrument: 'c', temperatureC: 20, farEndSealed: true, by: '',
  at: '2026-03-04T10:00:00Z', ...rest,
  readings: megohms.map((megohm, i) => ({ pair: PAIRS[i]!, megohm, saturated: false, by: '', at: '2026-03-04T10:00:00Z' })),
}); // prettier-ignore

describe('pairs', () => {
  it.each([
    [['1', '2'], false, ['1-2', '1-sheath', '2-sheath']],
    [['1', '2'], true, ['1-2', '1-screen', '2-screen', '1-sheath', '2-sheath', 'screen-sheath']],
  ])('%j, screened %s', (conductors, screened, wanted) =>
    expect(pairsOf(conductors, screened)).toEqual(wanted),
  );
  it.each([2, 3, 4, 5, 6, 7])('%i conductors: each to each other and to the sheath', (n) => {
    const names = Array.from({ length: n }, (_, i) => String(i + 1));
    expect(pairsOf(names, false)).toHaveLength((n * (n + 1)) / 2);
    expect(new Set(pairsOf(names, true)).size).toBe((n * (n + 1)) / 2 + n + 1);
  });
});

describe('a test of a cable', () => {
  it.each([
    ['not all read', test([500, 400]), null],
    ['sound and fresh', test([500, 400, 300]), 'seal-now'],
    ['sound, in service', test([50, 40, 30], { stage: 'in-service' }), 'record'],
    ['damp', test([500, 40, 300]), 'dry-out'],
    ['short', test([500, 0.4, 300]), 'find-fault'],
    ['the far end open', test([500, 400, 300], { farEndSealed: false }), 'retest'],
    ['too cold', test([500, 400, 300], { temperatureC: 4 }), 'retest'],
    ['too hot', test([500, 400, 300], { temperatureC: 41 }), 'retest'],
  ] as const)('%s', (_what, one, action) => expect(stateOfTest(cable, one, NOW).action).toBe(action));

  it('grows too old to seal by', () => {
    expect(stateOfTest(cable, test([500, 400, 300]), NOW + 6 * 60_000).action).toBe('retest');
    expect(stateOfTest(cable, test([500, 400, 300]), NOW + 5 * 60_000).action).toBe('seal-now');
  });
  it('takes the newest reading of a pair, and temperature only the stricter way', () => {
    const again = test([500, 40, 300]);
    again.readings.push({ ...again.readings[1]!, megohm: 400 });
    expect(stateOfTest(cable, again, NOW).action).toBe('seal-now');
    // 150 MΩ at 12 °C are 86 MΩ at 20 °C; at 28 °C they stay 150 MΩ.
    expect(stateOfTest(cable, test([150, 150, 150], { temperatureC: 12 }), NOW).action).toBe('dry-out');
    expect(stateOfTest(cable, test([90, 90, 90], { temperatureC: 28 }), NOW).action).toBe('dry-out');
  });
  it('a fall between two tests is named by its pair even above the threshold', () => {
    expect(fallsBetween(cable, test([900, 900, 900]), test([449, 451, 900]))).toMatchObject([
      { pair: 'L-N' },
    ]);
  });
});

describe('the years', () => {
  const year = (n: number, megohm: number, rest: Partial<InsulationTest> = {}) =>
    test([megohm, megohm * 2, megohm * 3], {
      id: `t${n}`,
      at: `${2020 + n}-06-01T00:00:00Z`,
      stage: 'in-service',
      ...rest,
    });
  it('forecast when the threshold is crossed, with its uncertainty', () => {
    const { points, crossing } = historyOf(
      cable,
      [0, 1, 2, 3].map((n) => year(n, 640 / 2 ** n)),
    );
    expect(points.map(({ pair }) => pair)).toEqual(['L-N', 'L-N', 'L-N', 'L-N']);
    // 640 MΩ halved every year reach 20 MΩ after five.
    expect(new Date(crossing!.t).getUTCFullYear()).toBe(2025);
    expect(crossing!.expanded).toBeLessThan(40 * 86_400_000);
  });
  it('make no forecast of few tests, of rising ones, or of tests that do not count', () => {
    expect(historyOf(cable, [year(0, 600), year(1, 300), year(2, 150)]).crossing).toBeNull();
    expect(
      historyOf(
        cable,
        [0, 1, 2, 3].map((n) => year(n, 100 + n)),
      ).crossing,
    ).toBeNull();
    const open = [0, 1, 2, 3].map((n) => year(n, 640 / 2 ** n, { farEndSealed: false }));
    expect(historyOf(cable, [...open, year(4, 9, { drying: true })]).points).toEqual([]);
  });
});

describe('drying out', () => {
  const at = (...megohms: number[]) => megohms.map((megohm, i) => ({ t: i * 10, megohm }));
  it.each([
    ['too few', at(1, 2, 3), 'too-few'],
    ['reached', at(1, 2, 100), 'reached'],
    ['falling', at(9, 8, 7, 6, 5), 'not-rising'],
    ['a fall, then a rise over the last five', at(9, 5, 1, 2, 4, 8, 16), 'rising'],
  ] as const)('%s', (_what, readings, is) => expect(dryingState(readings, 100).is).toBe(is));
  it('predicts an exponential rise exactly', () => {
    const state = dryingState(at(1, 2, 4, 8, 16), 64);
    expect(state).toMatchObject({ is: 'rising' });
    if (state.is === 'rising') {
      expect(state.crossing.t).toBeCloseTo(60, 9);
      expect(state.crossing.expanded).toBeCloseTo(0, 6);
    }
  });
  it('a trend gives back the line it was made of', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -2, max: 2, noNaN: true }), fc.double({ min: -0.2, max: 0.2, noNaN: true }), fc.integer({ min: 2, max: 9 }),
        (intercept, slope, n) => {
          const trend = fitTrend(Array.from({ length: n }, (_, t) => ({ t, megohm: Math.exp(intercept + slope * t) })))!;
          expect(trend.slope).toBeCloseTo(slope, 9);
          expect(trend.intercept).toBeCloseTo(intercept, 9);
          if (Math.abs(slope) > 1e-3) {
            const crossing = crossingOf(trend, Math.exp(intercept + slope * 20), 0)!;
            expect(crossing.t).toBeCloseTo(20, 6);
          }
        },
      ),
    );
  }); // prettier-ignore
  it('has none through one reading, or through readings of one moment', () => {
    expect([fitTrend([{ t: 1, megohm: 5 }]), fitTrend([{ t: 1, megohm: 5 }, { t: 1, megohm: 6 }])]).toEqual([null, null]); // prettier-ignore
  });
});

describe('a link', () => {
  const geometry = {
    straightsMm: [480, 946],
    bends: [{ angleDeg: 90, radiusMm: 80 }],
    entryMm: [10, 12] as const,
    tailMm: [100, 110] as const,
    trimMm: 20,
  };
  it('its tolerance is the root of the summed squares of what was entered', () => {
    const tolerance = linkToleranceMm(geometry, {
      straightsMm: [1, 2],
      bends: [{ angleDeg: 1, radiusMm: 2 }],
      entryMm: [0.5, 0.5],
    });
    const shares = [1, 2, 0.5, 0.5, (Math.PI / 180) * 80, (Math.PI / 2) * 2];
    expect(tolerance).toBeCloseTo(Math.sqrt(shares.reduce((sum, x) => sum + x * x, 0)), 12);
  });
  it('its drawn path has the length that it is cut by, and turns as it is entered', () => {
    const points = linkPath(geometry.straightsMm, geometry.bends, 0.05);
    const drawn = points
      .slice(1)
      .reduce((sum, p, i) => sum + Math.hypot(p.x - points[i]!.x, p.y - points[i]!.y), 0);
    expect(drawn).toBeCloseTo(linkLengths(geometry).pathMm, 3);
    const end = points[points.length - 1]!;
    expect([end.x, end.y]).toEqual([expect.closeTo(560, 1), expect.closeTo(1026, 1)]);
    const right = linkPath([100, 100], [{ angleDeg: 90, radiusMm: 10, right: true }]);
    expect(right[right.length - 1]!.y).toBeCloseTo(-110, 6);
  });
});

describe('marks', () => {
  it('a stub as long as the tail is refused by its field', () => {
    const end = { tailMm: 100, toolStopOffsetMm: 30, potRearMm: 15, screenStubMm: 100, glandGripMm: 20 };
    expect(() => endMarks(end)).toThrow('screen.stub');
    expect(endMarks({ ...end, screenStubMm: null }).screenMm).toBeNull();
  });
});

describe('the record of a test', () => {
  let made = 0;
  const records = recordsWith({ cable: { mineral: { ...LIMITS, conductors: ['L', 'N'] } } });
  records.write([
    { table: 'instrument', id: 'm', after: { ...records.get('instrument', 'c')!, id: 'm', kind: 'insulation-tester', unit: 'megohm', span: [0.001, 1000] } },
    { table: 'cable', id: 'k2', after: { ...records.get('cable', 'k')!, id: 'k2', mineral: null } },
  ]); // prettier-ignore
  const give = (kind: string, payload: object, at = '2026-03-04T10:00:00Z') =>
    records.write(
      apply(records, { id: `i${++made}`, kind, site: 's', at, payload } as unknown as AnyCommand, 'A. Vell'),
    );
  const start = {
    id: 't',
    cable: 'k',
    entry: null,
    stage: 'before-seal',
    drying: false,
    instrument: 'm',
    temperatureC: 20,
    farEndSealed: true,
  };
  it('is filled pair by pair, and refuses what cannot be', () => {
    expect(() => give('insulation.start', { ...start, cable: 'k2' })).toThrow('cable.not-mineral');
    expect(() => give('insulation.start', { ...start, instrument: 'c' })).toThrow('instrument.no-tester');
    expect(() => give('insulation.start', start, '2027-06-01T10:00:00Z')).toThrow('instrument.tester-past');
    give('insulation.start', start);
    expect(() => give('insulation.read', { id: 't', pair: 'L-screen', megohm: 5, saturated: false })).toThrow(
      'pair.none',
    );
    give('insulation.read', { id: 't', pair: 'L-N', megohm: 500, saturated: false });
    give('insulation.read', { id: 't', pair: 'L-N', megohm: 450, saturated: false });
    expect(records.get('insulation', 't')!.readings.map(({ megohm, by }) => [megohm, by])).toEqual([[500, 'A. Vell'], [450, 'A. Vell']]); // prettier-ignore
  });
});
