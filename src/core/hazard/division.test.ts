import { describe, expect, it } from 'vitest';
import {
  groupOfDivision, isKnownDivision, levelOfDivision, levelsForDivision, listedForDivision, sealFillPct, sealReason, sealThicknessMm,
  type SealFacts,
} from './division'; // prettier-ignore

const area = (cls: 'I' | 'II', division: 1 | 2, group: 'A' | 'B' | 'C' | 'D' | 'E' | 'F' | 'G') => ({
  class: cls,
  division,
  group,
});

describe('classes and divisions', () => {
  it('stand for levels and groups of the zone scheme', () => {
    expect(levelOfDivision(area('I', 1, 'C'))).toBe('Gb');
    expect(levelOfDivision(area('II', 2, 'G'))).toBe('Dc');
    expect((['A', 'B', 'C', 'D', 'E', 'F', 'G'] as const).map((group) => groupOfDivision(area('I', 1, group)))).toEqual([
      'IIC', 'hydrogen', 'IIB', 'IIA', 'IIIC', 'IIIB', 'IIIB',
    ]); // prettier-ignore
    expect(levelsForDivision(area('I', 1, 'C'))).toEqual(['Ga']);
    expect(levelsForDivision(area('II', 2, 'G'))).toEqual(['Da', 'Db', 'Dc']);
  });

  it('metal dust has no Division 2, and groups belong to their class', () => {
    expect(isKnownDivision(area('II', 2, 'E'))).toBe(false);
    expect(levelOfDivision(area('II', 2, 'E'))).toBe('Db');
    expect(isKnownDivision(area('II', 1, 'E'))).toBe(true);
    expect(isKnownDivision(area('I', 1, 'G'))).toBe(false);
    expect(isKnownDivision(area('II', 2, 'A'))).toBe(false);
  });

  it('a listing for Division 1 serves Division 2, not the reverse, and no other class', () => {
    const listed = (division: 1 | 2) => ({ class: 'I' as const, division, groups: ['C' as const] });
    expect(listedForDivision(listed(1), area('I', 2, 'C'))).toBe(true);
    expect(listedForDivision(listed(2), area('I', 1, 'C'))).toBe(false);
    expect(listedForDivision(listed(1), area('II', 1, 'E'))).toBe(false);
  });
});

describe('seals of a division site', () => {
  const facts: SealFacts = {
    wiring: 'conduit', division: 1, explosionproof: true, ignitionSource: false, terminals: false, tradeSizeIn: 1,
    boundary: false,
  }; // prettier-ignore
  it.each([
    ['a cable in Division 1', { wiring: 'cable' as const }, 'every-termination'],
    [
      'a cable in Division 2 on an explosionproof box',
      { wiring: 'cable' as const, division: 2 as const },
      'explosionproof',
    ],
    [
      'a cable in Division 2 on another box',
      { wiring: 'cable' as const, division: 2 as const, explosionproof: false },
      null,
    ],
    ['conduit to parts that arc', { ignitionSource: true }, 'ignition-source'],
    ['2 in conduit to terminals', { terminals: true, tradeSizeIn: 2 }, 'large-with-terminals'],
    ['1 1/2 in conduit to terminals', { terminals: true, tradeSizeIn: 1.5 }, null],
    ['conduit that leaves the area', { boundary: true, division: 2 as const }, 'boundary'],
    ['conduit to a box without either', {}, null],
  ])('%s', (_what, change, wanted) => expect(sealReason({ ...facts, ...change })).toBe(wanted));

  it('are as thick as the trade size, and 5/8 in at least', () => {
    expect(sealThicknessMm(0.5)).toBeCloseTo(15.875, 9);
    expect(sealThicknessMm(2)).toBeCloseTo(50.8, 9);
  });

  it('count conductors against the bore by their cross-sections', () =>
    expect(sealFillPct([{ count: 4, diameterMm: 5 }], 20)).toBeCloseTo(25, 9));
});
