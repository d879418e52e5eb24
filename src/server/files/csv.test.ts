import { describe, expect, it } from 'vitest';
import { fromCsv, toCsv } from './csv';

describe('CSV', () => {
  it.each(['=1+1', '+1', '-1', '@x', '\tx', '\rx'])('makes a cell that starts like %j safe', (cell) => {
    const text = toCsv(['a'], [{ a: cell }]);
    expect(text.split('\r\n')[1]!.replace(/^"/, '')[0]).toBe("'");
  });
  it('leaves numbers as numbers, below zero too, and keeps units readable', () => {
    expect(toCsv(['a', 'b'], [{ a: -0.42, b: '± 0.06 mm' }])).toBe('\uFEFFa,b\r\n-0.42,± 0.06 mm\r\n');
  });
  it('reads what it wrote, and semicolons as well', () => {
    expect(fromCsv(toCsv(['a', 'b'], [{ a: 'x, "y"', b: 'z' }])).rows).toEqual([{ a: 'x, "y"', b: 'z' }]);
    expect(fromCsv('a;b\n1,5;2\n').rows).toEqual([{ a: '1,5', b: '2' }]);
  });
});
