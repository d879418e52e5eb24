import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import cases from '../../core/doors/cases.json';
import { doorNames, openDoor, openDoorLine, openDoorText } from './door';
import { expectClose, field, output } from '../../../tests/server/doors';

type Case = { door: string; input: Record<string, unknown>; output: unknown };
const known = (cases as Case[]).filter(({ door }) => doorNames().includes(door));

const FIT = {
  range_mm: [10, 20],
  min_mm: 14,
  max_mm: 15,
  mean_mm: 14.5,
  standard_uncertainty_mm: 0.1,
  rule: 'guarded',
};
const DIAMETER = {
  method: 'caliper',
  readings_mm: [20, 20.2, 20.1],
  tape: null,
  instrument: {
    expanded_uncertainty_mm: 0.03,
    coverage_factor: 2,
    resolution_mm: 0.01,
    repeatability_mm: 0.02,
  },
};
const EARTH = {
  material: 'steel', length_m: 100, length_factor: 1, area_mm2: 100, temperature_c: 20,
  fault_current_a: 1000, duration_s: 1, k: 50,
}; // prettier-ignore

describe('doors', () => {
  it.each(known.map((c, i) => [`${c.door} ${i}`, c] as const))(
    'worked case %s',
    (_name, { door, input, output: wanted }) => {
      const found = output(door, input);
      // For the barrier the worked cases give the number of questions.
      // Of a packing only the values of the worked case count.
      if (door === 'pack') return expect(found).toMatchObject(wanted as object);
      // Another order may be as short.
      if (door === 'walk')
        return expectClose({ length_m: (found as unknown as { length_m: number }).length_m }, wanted);
      if (door !== 'barrier') return expectClose(found, wanted);
      const { path, ...rest } = found as unknown as { path: unknown[] };
      expect({ ...rest, steps: path.length }).toEqual(wanted);
    },
  );

  it('has a worked case for every door', () => {
    expect(new Set(known.map(({ door }) => door))).toEqual(new Set(doorNames()));
  });

  describe('ties', () => {
    it('a value on a limit meets it', () => {
      expect(output('fit', { ...FIT, rule: 'simple', min_mm: 10, max_mm: 20, mean_mm: 15 }).verdict).toBe(
        'inside',
      );
      expect(output('fit', { ...FIT, min_mm: 10.2, max_mm: 19.8, mean_mm: 15 }).verdict).toBe('inside');
      expect(
        output('fit', { ...FIT, range_mm: [10, 10.4], min_mm: 10.2, max_mm: 10.2, mean_mm: 10.2 }).decidable,
      ).toBe(true);
    });
    it('both ends violated alike is above', () => {
      expect(output('fit', { ...FIT, min_mm: 9, max_mm: 21, mean_mm: 15 }).verdict).toBe('above');
      expect(output('fit', { ...FIT, min_mm: 8.9, max_mm: 21, mean_mm: 15 }).verdict).toBe('below');
    });
    it('exactly five threads and eight millimetres hold', () => {
      const joint = {
        pitch_mm: 1.6,
        engaged_length_mm: 8.1,
        expanded_uncertainty_mm: 0.1,
        enclosure_volume_cm3: 101,
        taper: false,
      };
      expect(output('thread-engagement', joint)).toMatchObject({ full_threads: 5, verdict: 'conforms' });
      expect(output('thread-engagement', { ...joint, enclosure_volume_cm3: 100 }).required_depth_mm).toBe(5);
    });
  });

  describe('glands', () => {
    const BARRIER = {
      edition: '2013', certificate_demands_barrier: false, mineral_insulated: false, sealing_device: false, class_a: true,
      breathing_test_passed: false, indirect_entry: false, length_m: 3, ignition_source: true, group: 'IIB', zone: 1, volume_dm3: 2,
    }; // prettier-ignore
    it('a barrier is decided by the first question that settles it', () => {
      const required = (more: object) =>
        (output('barrier', { ...BARRIER, ...more }) as unknown as { barrier_required: boolean })
          .barrier_required;
      expect(required({})).toBe(false);
      expect(required({ length_m: 2.9 })).toBe(true);
      expect(required({ class_a: false })).toBe(true);
      expect(required({ class_a: false, breathing_test_passed: true })).toBe(false);
      expect(required({ edition: '2007' })).toBe(false);
      expect(required({ edition: '2007', volume_dm3: 2.1 })).toBe(true);
      expect(required({ edition: '2007', group: 'IIC', zone: 2 })).toBe(true);
    });
    it('a breathing test that starts too low, rises or drifts says nothing', () => {
      const test = (ps: number[], drift = 0) =>
        output('breathing', { points: ps.map((p_kpa, t_s) => ({ t_s, p_kpa })), temperature_drift_k: drift })
          .verdict;
      const good = [0.31, 0.28, 0.25, 0.23, 0.21, 0.19, 0.17, 0.149];
      expect(test(good)).toBe('conforms');
      expect(test(good, 0.021)).toBe('invalid');
      expect(test([0.299, ...good])).toBe('invalid');
      expect(test([0.31, 0.28, 0.2835, 0.25, 0.23, 0.21, 0.18, 0.15])).toBe('invalid');
      expect(test([0.31, 0.2, 0.15])).toBe('fails');
      expect(test([0.31, 0.3, 0.29])).toBe('invalid');
    });
    it('the gap under the back nut grows on a thicker cable, as its slope says', () => {
      const seal = { housing_bore_mm: 30.6, free_bore_mm: 21.7, free_outside_mm: 30, free_length_mm: 14.7 };
      const at = (cable_mm: number) =>
        output('back-nut', {
          seal,
          start_gap_mm: 7.6,
          turns_after_contact: 0.5,
          pitch_mm: 1.5,
          cable_mm,
        }) as unknown as {
          gap_mm: number;
          gap_per_mm_cable: number;
        };
      expect((at(20.0001).gap_mm - at(20).gap_mm) / 0.0001).toBeCloseTo(at(20).gap_per_mm_cable, 4);
    });
    it.each([
      ['compound', { pot_bore_mm: 20, cores: [{ count: 4, diameter_mm: 10 }] }, 'cores'],
      [
        'back-nut',
        { seal: { housing_bore_mm: 30, free_bore_mm: 22, free_outside_mm: 31, free_length_mm: 14 } },
        'seal.free_outside_mm',
      ],
      [
        'back-nut',
        { seal: { housing_bore_mm: 30, free_bore_mm: 22, free_outside_mm: 22, free_length_mm: 14 } },
        'seal.free_outside_mm',
      ],
      ['back-nut', { cable_mm: 22 }, 'cable_mm'],
      ['back-nut', { turns_after_contact: 9 }, 'turns_after_contact'],
      [
        'breathing',
        {
          points: [
            { t_s: 0, p_kpa: 0.3 },
            { t_s: 0, p_kpa: 0.2 },
          ],
        },
        'points.1.t_s',
      ],
      [
        'breathing',
        {
          points: [
            { t_s: 0, p_kpa: 0.3 },
            { t_s: 1, p_kpa: 0 },
          ],
        },
        'points.1.p_kpa',
      ],
      ['breathing', { points: [{ t_s: 0, p_kpa: 0.3 }] }, 'points'],
    ] as [string, object, string][])('%s refuses %j by its field', (name, more, wanted) => {
      const [{ input }] = known.filter(({ door }) => door === name) as [Case];
      const base =
        name === 'back-nut'
          ? {
              ...input,
              seal: { housing_bore_mm: 30.6, free_bore_mm: 21.7, free_outside_mm: 30, free_length_mm: 14.7 },
              cable_mm: 20,
              pitch_mm: 1.5,
            }
          : input;
      expect(field(name, { ...base, ...more })).toBe(wanted);
    });
  });

  describe('bounds and fields', () => {
    it.each([
      ['fit', { ...FIT, range_mm: [20, 10] }, 'range_mm'],
      ['fit', { ...FIT, range_mm: [10, 10] }, 'range_mm'],
      ['fit', { ...FIT, range_mm: [10] }, 'range_mm'],
      ['fit', { ...FIT, range_mm: [10, 'x'] }, 'range_mm.1'],
      ['fit', { ...FIT, max_mm: 13 }, 'max_mm'],
      ['fit', { ...FIT, mean_mm: 16 }, 'mean_mm'],
      ['fit', { ...FIT, min_mm: -1 }, 'min_mm'],
      ['fit', { ...FIT, max_mm: 1e9 }, 'max_mm'],
      ['fit', { ...FIT, rule: 'kind' }, 'rule'],
      ['fit', { ...FIT, extra: 1 }, 'extra'],
      ['fit', { ...FIT, constructor: 1 }, 'constructor'],
      ['fit', {}, 'range_mm'],
      ['fit', null, ''],
      ['fit', [], ''],
      ['diameter', { ...DIAMETER, readings_mm: [] }, 'readings_mm'],
      ['diameter', { ...DIAMETER, readings_mm: [20, 21, 0] }, 'readings_mm.2'],
      ['diameter', { ...DIAMETER, readings_mm: [20, null] }, 'readings_mm.1'],
      ['diameter', { ...DIAMETER, tape: { thickness_mm: 0, ovality_allowance_pct: 1 } }, 'tape'],
      ['diameter', { ...DIAMETER, method: 'tape' }, 'tape'],
      ['diameter', { ...DIAMETER, tape: undefined }, 'tape'],
      ['diameter', { ...DIAMETER, instrument: [] }, 'instrument'],
      [
        'diameter',
        { ...DIAMETER, instrument: { ...DIAMETER.instrument, resolution_mm: 'fine' } },
        'instrument.resolution_mm',
      ],
      ['diameter', { ...DIAMETER, instrument: { ...DIAMETER.instrument, more: 1 } }, 'instrument.more'],
      ['thread-identify', { major_mm: 0, pitch_mm: 1.5, taper_seen: null }, 'major_mm'],
      ['thread-identify', { major_mm: 20, pitch_mm: 1.5 }, 'taper_seen'],
      ['armour-count', { bedding_mm: 1, wire_mm: 5, lay_mm: 1 }, 'wire_mm'],
      ['earth-path', { ...EARTH, k: 60 }, 'k'],
      ['earth-path', { ...EARTH, temperature_c: 1001 }, 'temperature_c'],
      ['earth-path', { ...EARTH, length_m: 1001 }, 'length_m'],
      ['severity', { consequence: 2.5, hazard: 'explosion', area_level: 'Gb' }, 'consequence'],
      ['severity', { consequence: 2, hazard: 'explosion', area_level: 'Gd' }, 'area_level'],
    ])('%s names the field of %j', (name, input, wanted) => expect(field(name, input)).toBe(wanted));

    it('answers what is no JSON, no door, and too much', () => {
      expect(openDoorText('fit', '{')).toMatchObject({ error: { code: 'invalid-json' } });
      expect(openDoorText('toString', '{}')).toMatchObject({ error: { code: 'unknown-door' } });
      expect(openDoorText('fit', ' '.repeat(1_000_001))).toMatchObject({ error: { code: 'too-large' } });
      expect(openDoorLine('nonsense')).toMatchObject({ error: { code: 'invalid-json' } });
      expect(openDoorLine('{"input": {}}')).toMatchObject({
        error: { code: 'invalid-input', field: 'door' },
      });
    });
  });

  describe('properties', () => {
    const length = fc.double({ min: 1, max: 200, noNaN: true });

    it('another reading never narrows [min, max]', () => {
      fc.assert(
        fc.property(fc.array(length, { minLength: 1, maxLength: 8 }), length, (readings, more) => {
          const before = output('diameter', { ...DIAMETER, readings_mm: readings });
          const after = output('diameter', { ...DIAMETER, readings_mm: [...readings, more] });
          expect(after.min_mm).toBeLessThanOrEqual(before.min_mm);
          expect(after.max_mm).toBeGreaterThanOrEqual(before.max_mm);
        }),
      );
    });

    it('a guarded fit never gets better when the uncertainty grows', () => {
      const rank = { inside: 0, marginal: 1, below: 2, above: 2 } as const;
      fc.assert(
        fc.property(
          length,
          length,
          fc.double({ min: 0, max: 5, noNaN: true }),
          fc.double({ min: 0, max: 5, noNaN: true }),
          (at, width, u, more) => {
            const input = { ...FIT, range_mm: [50, 50 + width], min_mm: at, max_mm: at, mean_mm: at };
            const fine = output('fit', { ...input, standard_uncertainty_mm: u });
            const coarse = output('fit', { ...input, standard_uncertainty_mm: u + more });
            expect(rank[coarse.verdict]).toBeGreaterThanOrEqual(rank[fine.verdict]);
          },
        ),
      );
    });

    it('the probability falls as the range shrinks', () => {
      fc.assert(
        fc.property(
          length,
          fc.double({ min: 0.01, max: 20, noNaN: true }),
          fc.double({ min: 0, max: 10, noNaN: true }),
          (at, width, cut) => {
            const input = { ...FIT, min_mm: at, max_mm: at, mean_mm: at };
            const wide = output('fit', { ...input, range_mm: [40, 40 + width + cut] });
            const narrow = output('fit', { ...input, range_mm: [40, 40 + width] });
            expect(narrow.probability).toBeLessThanOrEqual(wide.probability + 1e-12);
          },
        ),
      );
    });

    it('no JSON value brings a door down', () => {
      fc.assert(
        fc.property(fc.constantFrom(...doorNames()), fc.jsonValue(), (name, value) => {
          const answer = openDoor(name, value);
          expect('error' in answer && answer.error.code).toBe('invalid-input');
        }),
      );
    });
  });
});
