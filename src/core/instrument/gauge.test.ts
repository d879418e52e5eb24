import { describe, expect, it } from 'vitest';
import type { Instrument, InstrumentKind, Unit } from '../record/types';
import { recordsWith } from '../rulebook/sound-entry.test.data';
import { read, sends, step, takeOut } from './simulator';

const AT = '2026-03-04T10:00:00Z';
const of = (kind: InstrumentKind, unit: Unit, span: [number, number], resolution: number): Instrument => ({
  ...recordsWith().get('instrument', 'c')!, kind, unit, span, resolution, repeatability: resolution / 2,
}); // prettier-ignore

/** What an instrument shows after so many samples on something. */
function shown(instrument: Instrument, target: number | null, samples: number) {
  let it = step(takeOut(instrument, 5), { target });
  for (let i = 0; i < samples; i++) it = step(it, {});
  return read(it, AT);
}

describe('the simulated gauges', () => {
  const thermometer = of('thermometer', 'degC', [-30, 120], 0.1);
  const driver = of('torque-driver', 'Nm', [5, 100], 0.1);
  const feeler = of('feeler', 'mm', [0.03, 10], 0.05);
  const pitch = of('pitch-gauge', 'mm', [0.25, 6], 0.05);

  it('a thermometer creeps, and may be read when it rests', () => {
    expect(shown(thermometer, 4, 2).stable).toBe(false);
    const rested = shown(thermometer, 4, 60);
    expect(rested).toMatchObject({ stable: true, unit: 'degC', fault: null, angle_deg: null });
    expect(Math.abs(rested.value! - 4)).toBeLessThan(0.4);
  });
  it('a torque driver rises to where the joint moves on, and holds it', () => {
    expect(shown(driver, 35, 2)).toMatchObject({ stable: false });
    expect(Math.abs(shown(driver, 35, 20).value! - 35)).toBeLessThan(0.4);
  });
  it('a feeler shows the thickest leaf that goes in, a pitch gauge the leaf that lies on the thread', () => {
    expect(shown(feeler, 3.99, 1)).toMatchObject({ value: 3.95, stable: true });
    expect(shown(pitch, 1.8, 1).value).toBeCloseTo(25.4 / 14, 6);
  });
  it('a milliohm meter comes to rest quickly, and scatters round the joint by its repeatability', () => {
    const meter = of('milliohm-meter', 'ohm', [0, 20], 0.0001);
    expect(shown(meter, 0.34, 0).stable).toBe(false);
    const rested = shown(meter, 0.34, 25);
    expect(rested).toMatchObject({ stable: true, unit: 'ohm', over: false });
    expect(Math.abs(rested.value! - 0.34)).toBeLessThan(0.0008);
    expect(sends(meter)).toBe(true);
  });
  it('shows nothing to take while it is held against nothing', () => {
    for (const one of [driver, feeler, pitch]) expect(shown(one, null, 5).stable).toBe(false);
  });
  it('sends the reason and no value outside its span or past its calibration date', () => {
    expect(shown(thermometer, 200, 99)).toMatchObject({ value: null, fault: 'outside-span', stable: false });
    const old = { ...driver, calibratedUntil: '2026-03-03' };
    expect(shown(old, 35, 20)).toMatchObject({ value: null, fault: 'past-calibration' });
  });
  it('same state and same input give the same line; what is not simulated does not send', () => {
    expect(shown(thermometer, 12, 7)).toEqual(shown(thermometer, 12, 7));
    expect([sends(thermometer), sends({ ...thermometer, simulated: false })]).toEqual([true, false]);
    expect(sends(of('rule', 'mm', [0, 100], 1))).toBe(false);
  });
});

describe('the simulated insulation tester', () => {
  const tester = of('insulation-tester', 'megohm', [0.001, 1000], 0.1);
  it('rises with the charge, rests, and shows no more than its span', () => {
    expect(shown(tester, 600, 2)).toMatchObject({ stable: false, over: false });
    expect(shown(tester, 600, 99).value!).toBeCloseTo(600, 0);
    expect(shown(tester, 5000, 99)).toMatchObject({ stable: true, over: true });
  });
  it('discharges when the leads come off', () => {
    let it = step(takeOut(tester, 5), { target: 600 });
    for (let i = 0; i < 99; i++) it = step(it, {});
    it = step(it, { target: null });
    const first = read(it, AT);
    for (let i = 0; i < 60; i++) it = step(it, {});
    expect(first).toMatchObject({ stable: false });
    expect(first.value!).toBeGreaterThan(100);
    expect(read(it, AT).value ?? 0).toBeLessThan(10);
  });
});
