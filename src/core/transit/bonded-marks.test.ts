import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bondedMarks, type BondedBlock, type BondedChoice } from './bonded-marks';

const SHEET: BondedBlock = { blockDepthMm: 60, braidMm: [22, 44], leastContactMm: 20, overhangMm: 10, toleranceMm: 1, window: false }; // prettier-ignore
const own = (rest: Partial<BondedChoice> = {}): BondedChoice => ({ overhangMm: 12, finish: 'own-sheath', finishMm: 10, ...rest }); // prettier-ignore

describe('marks for a bonded block', () => {
  it('lie at b1, b1 + f and B + o; the finish ends with the armour', () =>
    expect(bondedMarks(SHEET, own())).toEqual({
      jacketMm: 22,
      toleranceMm: 1,
      secondMm: 32,
      armourMm: 72,
      contactMm: 22,
      finishMm: [62, 72],
      faults: [],
    }));

  it.each<[string, BondedBlock, BondedChoice, string[]]>([
    ['a sleeve as long as the overhang begins at the face', SHEET, own({ finishMm: 12 }), []],
    ['a sleeve that is longer lies under the block', SHEET, own({ finishMm: 12.1 }), ['finish-inside']],
    ['armour cut short of the overhang', SHEET, own({ overhangMm: 9.9, finishMm: 9 }), ['overhang']],
    ['a braid section with too little contact', { ...SHEET, braidMm: [22, 41.9] }, own(), ['contact']],
    ['contact of exactly what is asked', { ...SHEET, braidMm: [22, 42] }, own(), []],
    ['a window where the sheet allows none', SHEET, own({ finish: 'window', finishMm: 0 }), ['window']],
  ])('%s', (_case, sheet, choice, faults) => expect(bondedMarks(sheet, choice).faults).toEqual(faults));

  it('of a window are the two ends of the braid section: no end to finish', () =>
    expect(bondedMarks({ ...SHEET, window: true }, own({ finish: 'window', finishMm: 0 }))).toMatchObject({
      jacketMm: 22,
      secondMm: 44,
      armourMm: null,
      finishMm: null,
      faults: [],
    }));

  it('need no second cut for a tube or a bushing', () => {
    for (const finish of ['tube', 'bushing'] as const)
      expect(bondedMarks(SHEET, own({ finish })).secondMm).toBeNull();
  });

  it('without a fault keep the finish outside the block, whatever the figures', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 80, noNaN: true }),
        fc.double({ min: 0, max: 80, noNaN: true }),
        (o, f) => {
          const { finishMm, faults } = bondedMarks(SHEET, own({ overhangMm: o, finishMm: f }));
          if (!faults.includes('finish-inside'))
            expect(finishMm![0]).toBeGreaterThanOrEqual(SHEET.blockDepthMm - 1e-6);
        },
      ),
    ));
});
