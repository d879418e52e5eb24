import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { field, output } from '../../../tests/server/doors';

describe('doors of mineral-insulated cables', () => {
  const END = {
    tail_mm: 120,
    tool_stop_offset_mm: 33,
    pot_rear_mm: 16,
    screen_stub_mm: 12,
    gland_grip_mm: 25,
  };
  const LINK = {
    straights_mm: [400], bends: [], entry_1_mm: 0, entry_2_mm: 0, tail_1_mm: 0, tail_2_mm: 0, trim_mm: 0,
  }; // prettier-ignore
  const TEST = {
    pair: 'L-N',
    megohm: 500,
    saturated: false,
    temperature_c: 20,
    far_end_sealed: true,
    age_min: 1,
  };
  const SET = { stage: 'before-seal', threshold_megohm: 100, length_m: 10, window_min: 15, tests: [TEST] };
  const answer = (change: object, test: object = {}) =>
    output('insulation', { ...SET, ...change, tests: [{ ...TEST, ...test }] }) as unknown as {
      tests: { verdict: string; judged_megohm: number }[];
      action: string;
    };

  it.each([
    ['mi-marks', { ...END, screen_stub_mm: 120 }, 'screen_stub_mm'],
    ['mi-marks', { ...END, screen_stub_mm: 130 }, 'screen_stub_mm'],
    ['mi-marks', { ...END, tail_mm: -1 }, 'tail_mm'],
    ['mi-marks', { ...END, gland_grip_mm: null }, 'gland_grip_mm'],
    ['mi-marks', { ...END, more: 1 }, 'more'],
    ['mi-link', { ...LINK, straights_mm: [] }, 'straights_mm'],
    ['mi-link', { ...LINK, straights_mm: [1, 'x'] }, 'straights_mm.1'],
    ['mi-link', { ...LINK, bends: [{ angle_deg: 90 }] }, 'bends.0.radius_mm'],
    ['mi-link', { ...LINK, bends: null }, 'bends'],
    ['insulation', { ...SET, tests: [] }, 'tests'],
    ['insulation', { ...SET, tests: [TEST, { ...TEST, megohm: -1 }] }, 'tests.1.megohm'],
    ['insulation', { ...SET, stage: 'later' }, 'stage'],
    ['insulation', { ...SET, threshold_megohm: 0 }, 'threshold_megohm'],
  ])('%s names what is wrong %#', (name, input, wanted) => expect(field(name, input)).toBe(wanted));

  it('a cable without a screen has no screen cut, a straight link no bend', () => {
    expect(output('mi-marks', { ...END, screen_stub_mm: null })).toMatchObject({
      screen_cut_mm: null,
      jacket_mark_mm: 161,
    });
    expect(output('mi-link', LINK)).toEqual({
      path_mm: 400,
      sheath_mm: 400,
      cut_mm: 400,
      second_strip_mark_mm: 400,
    });
  });

  it.each([
    ['on the threshold', {}, { megohm: 100 }, 'sound', 'seal-now'],
    ['a hundredth of it', {}, { megohm: 1 }, 'damp', 'dry-out'],
    ['below a hundredth', {}, { megohm: 0.999 }, 'short', 'find-fault'],
    ['on the window', {}, { age_min: 15 }, 'sound', 'seal-now'],
    ['past the window', {}, { age_min: 15.1 }, 'sound', 'retest'],
    ['past the window in service', { stage: 'in-service' }, { age_min: 99 }, 'sound', 'record'],
    ['at 5 °C', {}, { temperature_c: 5 }, 'sound', 'seal-now'],
    ['below 5 °C', {}, { temperature_c: 4.9 }, 'invalid', 'retest'],
    ['at 40 °C', {}, { temperature_c: 40 }, 'sound', 'seal-now'],
    ['above 40 °C', {}, { temperature_c: 40.1 }, 'invalid', 'retest'],
    ['saturated above the threshold', {}, { megohm: 1000, saturated: true }, 'sound', 'seal-now'],
    ['saturated below it', {}, { megohm: 50, saturated: true }, 'invalid', 'retest'],
    ['the far end open', {}, { far_end_sealed: false }, 'invalid', 'retest'],
  ])('insulation %s', (_what, change, test, verdict, action) => {
    const { tests, action: found } = answer(change, test);
    expect([tests[0]!.verdict, found]).toEqual([verdict, action]);
  });

  it('temperature makes the verdict stricter, never kinder', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 2000, noNaN: true }),
        fc.double({ min: 5, max: 40, noNaN: true }),
        (megohm, temperature_c) => {
          const { judged_megohm } = answer({}, { megohm, temperature_c }).tests[0]!;
          expect(judged_megohm).toBeLessThanOrEqual(megohm * (1 + 1e-12));
        },
      ),
    );
  });
});

describe('doors of transits', () => {
  const PEEL = {
    block: { bore_mm: 10, layer_mm: 1, layers_per_half: 6, keep_layers: 1 }, gap_mm: [0.2, 0.9],
    cable: { min_mm: 15, max_mm: 15.2, mean_mm: 15.1, expanded_uncertainty_mm: 0.03 }, max_layer_difference: 1,
  }; // prettier-ignore
  const PACK = {
    opening: { width_mm: 60, height_mm: 150, stay_plate_mm: 1, compression_mm: [20, 40] },
    blocks: [{ size_mm: 20, range_mm: [4, 15] }, { size_mm: 30, range_mm: [10, 25] }],
    cables: [{ id: 'A', min_mm: 12, max_mm: 12 }], spare_pct: 0,
  }; // prettier-ignore
  const SEAL = {
    opening: { shape: 'round', diameter_mm: 100 }, cables_mm: [20], depth_mm: 20, sides: 1, wall_depth_mm: 150,
    waste_pct: 10, cartridge_ml: 300, sleeve: { outer_mm: 32, inner_mm: 20, length_mm: 70 }, max_fill_pct: 40,
  }; // prettier-ignore
  it.each([
    ['peel', { ...PEEL, gap_mm: [0.9, 0.9] }, 'gap_mm'],
    ['peel', { ...PEEL, cable: { ...PEEL.cable, max_mm: 14 } }, 'cable.max_mm'],
    ['peel', { ...PEEL, cable: { ...PEEL.cable, mean_mm: 15.3 } }, 'cable.mean_mm'],
    ['peel', { ...PEEL, max_layer_difference: 0.5 }, 'max_layer_difference'],
    ['peel', { ...PEEL, block: { ...PEEL.block, bore_mm: 0 } }, 'block.bore_mm'],
    ['pack', { ...PACK, opening: { ...PACK.opening, compression_mm: [40, 20] } }, 'opening.compression_mm'],
    ['pack', { ...PACK, blocks: [] }, 'blocks'],
    ['pack', { ...PACK, blocks: [PACK.blocks[0], PACK.blocks[0]] }, 'blocks'],
    ['pack', { ...PACK, blocks: [{ size_mm: 20, range_mm: [15, 4] }] }, 'blocks.0.range_mm'],
    ['pack', { ...PACK, cables: [PACK.cables[0], PACK.cables[0]] }, 'cables'],
    ['pack', { ...PACK, cables: [{ id: 'A', min_mm: 12, max_mm: 11 }] }, 'cables.0.max_mm'],
    ['pack', { ...PACK, spare_pct: 101 }, 'spare_pct'],
    ['sealant', { ...SEAL, opening: { shape: 'oval' } }, 'opening.shape'],
    ['sealant', { ...SEAL, opening: { shape: 'rect', width_mm: 100 } }, 'opening.height_mm'],
    ['sealant', { ...SEAL, opening: { shape: 'round', diameter_mm: 100, width_mm: 1 } }, 'opening.width_mm'],
    ['sealant', { ...SEAL, cables_mm: [101] }, 'cables_mm'],
    ['sealant', { ...SEAL, cables_mm: [20, 0] }, 'cables_mm.1'],
    ['sealant', { ...SEAL, sides: 3 }, 'sides'],
    ['sealant', { ...SEAL, sleeve: { ...SEAL.sleeve, inner_mm: 32 } }, 'sleeve.outer_mm'],
  ])('%s names what is wrong %#', (name, input, wanted) => expect(field(name, input)).toBe(wanted));

  it('no cables at all are no fault', () => {
    expect(output('sealant', { ...SEAL, cables_mm: [] })).toMatchObject({ fits: true, fill_pct: 0 });
    expect(output('pack', { ...PACK, cables: [] })).toMatchObject({
      fits: true,
      cable_rows_height_mm: 0,
      spare_pct: 100,
    });
  });
  it('an opening that cannot be packed says why', () => {
    expect(output('pack', { ...PACK, cables: [{ id: 'A', min_mm: 50, max_mm: 50 }] })).toEqual({
      fits: false,
      reason: { code: 'no-block', cables: ['A'], missing_mm: 0 },
    });
  });
});
