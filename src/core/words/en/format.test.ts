import { describe, expect, it } from 'vitest';
import { count, day, figure, known, limits, mm, ohm, plusMinus } from './format';

describe('figures', () => {
  it.each([
    [17, '17.0'],
    [23.5, '23.5'],
    [23.92, '23.92'],
    [23.999, '24.0'],
    [0, '0.0'],
    [0.004, '0.004'],
    [-0.42, '-0.42'],
    [1.25, '1.25'],
    [1800, '1800.0'],
  ])('%d is written %s', (value, text) => expect(figure(value)).toBe(text));
  it('keeps as many decimals as it is asked for', () => {
    expect(figure(1.2345, 4)).toBe('1.2345');
    expect(figure(1.25, 4)).toBe('1.25');
  });
  it('never shows a small excess as nothing', () => {
    expect(mm(0.0004)).toBe('0.0004 mm');
  });
  it('writes limits, uncertainties, resistances and counts', () => {
    expect(limits(17, 23.5)).toBe('17.0 to 23.5 mm');
    expect(plusMinus(23.917, 0.058)).toBe('23.92 ± 0.06 mm');
    expect(ohm(0.0123)).toBe('12.3 mΩ');
    expect(ohm(2.5)).toBe('2.5 Ω');
    expect([count(1, 'thread'), count(0, 'thread'), count(5, 'thread')]).toEqual([
      '1 thread',
      '0 threads',
      '5 threads',
    ]);
  });
  it('says what nobody recorded', () => {
    expect(known(null, 'mm')).toBe('not recorded');
    expect(known(12.5, 'mm')).toBe('12.5 mm');
  });
  it('writes a day as it is said on site, in its zone', () => {
    expect(day('2026-03-04T23:30:00Z')).toBe('4 Mar 2026');
    expect(day('2026-03-04T23:30:00Z', 'Europe/Paris')).toBe('5 Mar 2026');
  });
});
