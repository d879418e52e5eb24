import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { api } from '../client/api';
import type { InstrumentLine } from '../core/instrument/line';
import type { Instrument } from '../core/record/types';
import { recordsWith } from '../core/rulebook/sound-entry.test.data';
import { LiveInstrument } from './live-instrument';

const caliper = { ...recordsWith().get('instrument', 'c')!, calibratedUntil: '2099-01-01' } as Instrument;
const driver = {
  ...caliper,
  id: 'n',
  kind: 'torque-driver',
  unit: 'Nm',
  span: [1, 100],
  resolution: 0.1,
  repeatability: 0,
} as Instrument;
const line = (change: Partial<InstrumentLine> = {}): InstrumentLine => ({
  instrument: 'n', sample: 1, value: 12.3, unit: 'Nm', stable: true, fault: null, over: false, angle_deg: null, ...change,
}); // prettier-ignore

let changes = 0;
let hand: LiveInstrument;
beforeEach(() => {
  vi.useFakeTimers();
  changes = 0;
  hand = new LiveInstrument(() => changes++);
});
afterEach(() => {
  hand.hold(null);
  vi.useRealTimers();
  vi.restoreAllMocks();
});
const server = (answers: boolean) =>
  vi
    .spyOn(api, 'handleInstrument')
    .mockImplementation(() =>
      answers ? Promise.resolve(undefined as never) : Promise.reject(new Error('away')),
    );

describe('the instrument in the hand', () => {
  it('shows the server’s lines of itself, and no other’s', () => {
    hand.hold(driver);
    hand.hear(line({ instrument: 'c' }));
    expect(hand.line).toBeNull();
    hand.hear(line());
    expect(hand.line!.value).toBe(12.3);
    expect(hand.held).toBe('n');
  });
  it('goes on by itself when the server falls silent, with the same simulator', async () => {
    server(false);
    hand.hold(driver);
    hand.handle({ target: 35 });
    await vi.dynamicImportSettled();
    await vi.advanceTimersByTimeAsync(4000);
    expect(hand.line).toMatchObject({ instrument: 'n', unit: 'Nm', stable: true });
    expect(hand.line!.value!).toBeCloseTo(35, 1);
  });
  it('hears nothing of the server that has not had the hand’s move, though its stream goes on', async () => {
    server(false);
    hand.hold(driver);
    hand.handle({ target: 35 });
    await vi.dynamicImportSettled();
    for (let i = 0; i < 40; i++) {
      hand.hear(line({ value: null, stable: false }));
      await vi.advanceTimersByTimeAsync(100);
    }
    expect(hand.line).toMatchObject({ stable: true });
    expect(hand.line!.value!).toBeCloseTo(35, 1);
  });
  it('leaves the word to the server as long as it speaks', async () => {
    server(true);
    hand.hold(driver);
    hand.handle({ target: 35 });
    for (let i = 0; i < 20; i++) {
      hand.hear(line({ value: 7 }));
      await vi.advanceTimersByTimeAsync(200);
    }
    expect(hand.line!.value).toBe(7);
  });
  it('forgets what it showed when another is taken, and shows nothing when it is put down', () => {
    hand.hold(driver);
    hand.hear(line());
    hand.hold(caliper);
    expect([hand.line, hand.held]).toEqual([null, 'c']);
    hand.hold(null);
    expect(hand.held).toBeNull();
    const before = changes;
    hand.hold(null);
    expect(changes).toBe(before);
  });
  it('an empty hand does nothing', async () => {
    const asked = server(true);
    hand.handle({ target: 3 });
    await vi.advanceTimersByTimeAsync(2000);
    expect([asked.mock.calls.length, hand.line]).toEqual([0, null]);
  });
  it('passes the user’s hand on to the server', () => {
    const asked = server(true);
    hand.hold(caliper);
    hand.handle({ jaws: 'close', workpiece: { minorMm: 20, majorMm: 20.2 }, angleDeg: 60 });
    expect(asked).toHaveBeenCalledWith('s', 'c', {
      jaws: 'close',
      workpiece: { minorMm: 20, majorMm: 20.2 },
      angleDeg: 60,
    });
  });
});
