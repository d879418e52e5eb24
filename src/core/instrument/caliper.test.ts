import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { recordsWith } from '../rulebook/sound-entry.test.data';
import { readCaliper, restingCaliper, stepCaliper, widthAt } from './caliper';

const instrument = recordsWith().get('instrument', 'c')!;
const AT = '2026-03-04T10:00:00Z';
const piece = { minorMm: 20.5, majorMm: 20.9 };

function closedOn(angleDeg: number) {
  let state = stepCaliper(
    restingCaliper(instrument, 1),
    { jaws: 'close', workpiece: piece, angleDeg },
    instrument.span,
  );
  for (let i = 0; i < 10; i++) state = stepCaliper(state, {}, instrument.span);
  return state;
}

describe('the simulated caliper', () => {
  it('comes to rest on the width at its angle, within its repeatability', () => {
    for (const angle of [0, 60, 90, 120]) {
      const line = readCaliper(closedOn(angle), instrument, AT);
      expect(line).toMatchObject({ stable: true, fault: null, angle_deg: angle });
      expect(Math.abs(line.value! - widthAt(piece, angle))).toBeLessThan(0.1);
    }
  });
  it('shows steps of its resolution, and other noise from sample to sample', () => {
    let state = closedOn(0);
    const shown = Array.from({ length: 40 }, () => {
      state = stepCaliper(state, {}, instrument.span);
      return readCaliper(state, instrument, AT).value!;
    });
    for (const value of shown) expect(Math.abs(value * 100 - Math.round(value * 100))).toBeLessThan(1e-6);
    expect(new Set(shown).size).toBeGreaterThan(2);
  });
  it('is not at rest while its jaws are open, and says nothing past its calibration date', () => {
    const open = stepCaliper(closedOn(0), { jaws: 'open' }, instrument.span);
    expect(readCaliper(open, instrument, AT).stable).toBe(false);
    const old = { ...instrument, calibratedUntil: '2026-03-03' };
    expect(readCaliper(closedOn(0), old, AT)).toMatchObject({
      value: null,
      stable: false,
      fault: 'past-calibration',
    });
  });
  it('same state and same input give the same result', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1000 }), fc.integer({ min: 0, max: 180 }), (seed, angleDeg) => {
        const run = () =>
          readCaliper(
            stepCaliper(
              restingCaliper(instrument, seed),
              { jaws: 'close', workpiece: piece, angleDeg },
              instrument.span,
            ),
            instrument,
            AT,
          );
        expect(run()).toEqual(run());
      }),
    );
  });
});
