import { MantineProvider } from '@mantine/core';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import type { Clock } from '../../core/makeoff/clocks';
import { CLOCK_WORDS, DUE_WORDS } from '../../core/words/en/makeoff';
import { clockAddress } from '../hand/clock-address';
import { ClockRing } from '../../ui/ClockRing';

const FROM = '2026-03-04T10:00:00.000Z';
const DUE = '2026-03-04T14:00:00.000Z';
const clock = (change: Partial<Clock> = {}): Clock => ({
  id: 'p look', is: 'look', due: DUE, from: FROM, pour: 'p', entry: 'e', cable: null, where: { tag: 'JB-1', label: 'A' }, compound: 'compound',
  stopped: false, waits: true, temperatureC: 18.5, ...change,
}); // prettier-ignore
const drawn = (change: Partial<Clock>, at: string) =>
  renderToStaticMarkup(
    <MantineProvider>
      <ClockRing clock={clock(change)} nowMs={Date.parse(at)} />
    </MantineProvider>,
  );
/** Share of the ring that is closed. */
const share = (markup: string) => Number(/stroke-dasharray="([\d.]+) /.exec(markup)![1]) / (2 * Math.PI * 22);

describe('a clock', () => {
  it('closes its ring as its time runs, and says how long is left', () => {
    const half = drawn({}, '2026-03-04T12:00:00Z');
    expect(share(half)).toBeCloseTo(0.5, 9);
    expect(half).toContain(CLOCK_WORDS.look);
    expect(half).toContain('in 2 h 00 min');
    expect(half).toContain('at 18.5 °C');
    expect(share(drawn({}, '2026-03-04T09:00:00Z'))).toBe(0);
  });
  it.each(['working-life', 'look', 'energise', 'stale-test'] as const)(
    '%s says what to do once it has run out',
    (is) => {
      const over = drawn({ is }, '2026-03-04T14:05:00Z');
      expect(over).toContain(DUE_WORDS[is]);
      expect(over).toContain('since 5 min 00 s');
      expect(share(over)).toBeCloseTo(1, 9);
      // What is lost when it runs out is marked as failed, what may go on then is not.
      expect(over.includes('state-failed')).toBe(is === 'working-life' || is === 'stale-test');
    },
  );
  it('stands still where it is too cold, and never counts as over', () => {
    const cold = drawn({ stopped: true, temperatureC: 2 }, '2026-03-05T14:00:00Z');
    expect(cold).toContain('stands still');
    expect(cold).not.toContain(DUE_WORDS.look);
  });
  it('says when no temperature is recorded', () =>
    expect(drawn({ temperatureC: null }, FROM)).toContain('temperature not recorded'));
  it('leads to the work that it runs against', () => {
    expect(clockAddress(clock(), 's')).toBe('/makeoff/?site=s&entry=e');
    expect(clockAddress(clock({ entry: null, pour: null, cable: 'k' }), 's')).toBe(
      '/mineral/?site=s&cable=k',
    );
  });
});
