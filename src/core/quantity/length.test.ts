import { describe, expect, it } from 'vitest';
import { parseLength } from './length';

const mm = (text: string) => {
  const read = parseLength(text);
  return 'mm' in read ? read.mm : read.fault;
};

describe('parseLength', () => {
  it.each([
    ['23.92', 23.92],
    ['23,92', 23.92],
    [' 23,92 mm ', 23.92],
    ['2.4 cm', 24],
    ['1 in', 25.4],
    ['7/16 in', 11.1125],
    ['1 1/16"', 26.9875],
    ['1-1/16 in', 26.9875],
    ['.5 in', 12.7],
    ['0', 0],
  ])('reads %s', (text, value) => expect(mm(text)).toBeCloseTo(value, 12));

  it.each([
    ['', 'empty'],
    ['abc', 'not-a-length'],
    ['1e9', 'not-a-length'],
    ['1.2.3', 'not-a-length'],
    ['15/16', 'not-a-length'],
    ['-3', 'negative'],
    ['1000001', 'too-long'],
    ['1/0 in', 'zero-divisor'],
  ])('refuses %j as %s', (text, fault) => expect(mm(text)).toBe(fault));

  it('keeps what was typed', () => expect(parseLength(' 15/16 in ')).toMatchObject({ typed: '15/16 in' }));
});
