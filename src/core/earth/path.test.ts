import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONDUCTORS, minimumArea, pathResistance, withstands } from './path';
import { severity } from '../defects/severity';
import { LEVELS } from '../hazard/level';

describe('an armour as earth path', () => {
  it('is its resistivity at 20 °C, and rises with temperature', () => {
    for (const material of ['steel', 'copper', 'aluminium'] as const) {
      expect(pathResistance(material, 1000, 1, 1, 20)).toBeCloseTo(CONDUCTORS[material].rho20 * 1e9, 9);
      expect(pathResistance(material, 1, 1, 1, 70)).toBeGreaterThan(pathResistance(material, 1, 1, 1, 20));
    }
  });
  it('bears a fault exactly at its smallest area', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 1e5, noNaN: true }),
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        (current, duration) => {
          const least = minimumArea(current, duration, 50);
          expect(withstands(least, least)).toBe(true);
          expect(withstands(least * 0.999 - 1e-6, least)).toBe(false);
        },
      ),
    );
  });
});

describe('severity', () => {
  it('rises in a Ga or Da area and falls in a Gc or Dc one, within 1 to 4', () => {
    expect(LEVELS.map((level) => severity(3, 'explosion', level))).toEqual([4, 3, 2, 4, 3, 2]);
    expect(severity(4, 'explosion', 'Ga')).toBe(4);
    expect(severity(1, 'explosion', 'Gc')).toBe(1);
  });
  it('a shock is at least 3 wherever it is, a record stays what it is', () => {
    for (const level of [...LEVELS, null]) {
      expect(severity(1, 'shock', level)).toBe(3);
      expect(severity(4, 'shock', level)).toBe(4);
      expect(severity(1, 'record', level)).toBe(1);
    }
  });
  it('an unclassified area adds nothing', () => expect(severity(3, 'explosion', null)).toBe(3));
});
