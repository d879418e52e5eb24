import { describe, expect, it } from 'vitest';
import { QUANTITIES, readQuantities, readQuantity, shownQuantity, type QuantityId } from './quantity';

const read = (text: string, quantity: QuantityId) => {
  const found = readQuantity(text, quantity);
  return 'fault' in found ? found.fault : found.value;
};

describe('a value as people write it', () => {
  it.each<[string, QuantityId, number]>([
    ['23,9', 'length', 23.9],
    ['15/16 in', 'length', 23.8125],
    ['1 1/16"', 'length', 26.9875],
    ['12m', 'length', 12000],
    ['12m', 'distance', 12],
    ['0,25 km', 'distance', 250],
    ['12', 'bond', 0.012],
    ['12m', 'bond', 0.012],
    ['12 mΩ', 'bond', 0.012],
    ['12 mohm', 'bond', 0.012],
    ['12 Mohm', 'insulation', 12],
    ['5 mΩ', 'insulation', 5e-9],
    ['0.012 Ω', 'bond', 0.012],
    ['0.012 ohm', 'bond', 0.012],
    ['1.2 GΩ', 'insulation', 1200],
    ['1.2 Gohm', 'insulation', 1200],
    ['1.2G', 'insulation', 1200],
    ['500 kΩ', 'insulation', 0.5],
    ['41', 'insulation', 41],
    ['−5', 'temperature', -5],
    ['-5 °C', 'temperature', -5],
    ['104 °F', 'temperature', 40],
    ['300 K', 'temperature', 26.85],
    ['34.5', 'torque', 34.5],
    ['34.5 Nm', 'torque', 34.5],
    ['0.85', 'turns', 0.85],
    ['90°', 'turns', 0.25],
    ['2 dm³', 'volume', 2000],
    ['2 l', 'volume', 2000],
    ['90 s', 'minutes', 1.5],
    ['90 min', 'hours', 1.5],
    ['12', 'number', 12],
  ])('%s as %s', (text, quantity, value) => expect(read(text, quantity)).toBeCloseTo(value, 9));

  it.each<[string, QuantityId, string]>([
    ['', 'bond', 'empty'],
    ['abc', 'bond', 'not-a-number'],
    ['1e9', 'bond', 'not-a-number'],
    ['1.2.3', 'number', 'not-a-number'],
    ['-3', 'length', 'negative'],
    ['-3', 'bond', 'negative'],
    ['12 V', 'bond', 'unknown-unit'],
    ['12 bar', 'temperature', 'unknown-unit'],
    ['-300', 'temperature', 'too-little'],
    ['99999999', 'length', 'too-much'],
    ['2000 MΩ', 'bond', 'too-much'],
    ['15/16', 'length', 'fraction-without-unit'],
    ['1/0 in', 'length', 'zero-divisor'],
  ])('%j as %s is %s', (text, quantity, fault) => expect(read(text, quantity)).toBe(fault));

  it.each<[string, number[] | string]>([
    ['21.4 21.5 21.4', [21.4, 21.5, 21.4]],
    ['21,4; 21,5', [21.4, 21.5]],
    ['21,4, 21,5', [21.4, 21.5]],
    ['1 in; 2 in', [25.4, 50.8]],
    ['', []],
    ['21.4 abc', 'not-a-number'],
    ['21.4 -3', 'negative'],
  ])('%j as several lengths', (text, wanted) => {
    const read = readQuantities(text, 'length');
    expect('values' in read ? read.values : read.fault).toEqual(wanted);
  });

  it('says whether it was converted, so that what was understood is shown', () => {
    expect(readQuantity('15/16 in', 'length')).toMatchObject({ converted: true, typed: '15/16 in' });
    expect(readQuantity('23,9 mm', 'length')).toMatchObject({ converted: false });
    expect(readQuantity('0.012 Ω', 'bond')).toMatchObject({ converted: true });
    expect(readQuantity('12', 'bond')).toMatchObject({ converted: false });
  });

  it('is shown so that it reads as the same again', () => {
    for (const quantity of Object.keys(QUANTITIES) as QuantityId[])
      for (const value of [0.012, 0.1, 12.5, 23.8125])
        expect(read(shownQuantity(value, quantity), quantity)).toBeCloseTo(value, 9);
    expect(shownQuantity(0.012, 'bond')).toBe('12');
    expect(shownQuantity(null, 'bond')).toBe('');
  });
});
