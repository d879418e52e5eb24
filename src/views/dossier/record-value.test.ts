import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { get, isSame, set, withTyped } from './record-value';

const RECORD = {
  tag: 'P-1',
  sheet: {
    sizes: [
      { size: 'S1', outer: { rangeMm: [12, 18] } },
      { size: 'S2', outer: { rangeMm: [16, 24] } },
    ],
  },
};

describe('a record by dotted paths', () => {
  it.each([
    ['tag', 'P-1'],
    ['sheet.sizes.1.size', 'S2'],
    ['sheet.sizes.0.outer.rangeMm.1', 18],
    ['sheet.none', undefined],
    ['none.deep.er', undefined],
  ])('%s', (path, wanted) => expect(get(RECORD, path)).toEqual(wanted));

  it('is changed in a copy, everything beside the path shared and the original kept', () => {
    const next = set(RECORD, 'sheet.sizes.0.outer.rangeMm.1', 19) as typeof RECORD;
    expect(next.sheet.sizes[0]!.outer.rangeMm).toEqual([12, 19]);
    expect(RECORD.sheet.sizes[0]!.outer.rangeMm).toEqual([12, 18]);
    expect(next.sheet.sizes[1]).toBe(RECORD.sheet.sizes[1]);
    expect(Array.isArray(next.sheet.sizes)).toBe(true);
  });
  it('gives back what was set, wherever there is a path', () => {
    const key = fc.constantFrom('a', 'b', 'c');
    fc.assert(
      fc.property(fc.array(key, { minLength: 1, maxLength: 4 }), fc.integer(), (keys, value) => {
        const path = keys.join('.');
        expect(get(set({}, path, value), path)).toBe(value);
      }),
    );
  });
});

describe('a length as it was typed', () => {
  it.each([
    ['15/16 in', 23.8125, true],
    ['23,8125', 23.8125, true],
    ['23.8125 mm', 23.8125, true],
    ['23.8', 23.8125, false],
    ['wide', 23.8125, false],
    ['', 0, false],
  ])('"%s" says %f: %s', (text, mm, same) => expect(isSame(text, mm)).toBe(same));

  it('is kept beside the number only where it is more than the number and still true', () => {
    const typed = { innerMm: '7/16 in', outerMm: '15.7', sheathMm: '3/4 in' };
    const record = { innerMm: 11.1125, outerMm: 15.7, sheathMm: 1.4, typed: { old: 'x' } };
    expect(withTyped(record, typed)).toEqual({
      innerMm: 11.1125,
      outerMm: 15.7,
      sheathMm: 1.4,
      typed: { innerMm: '7/16 in' },
    });
    expect(withTyped(record, {})).toEqual({ innerMm: 11.1125, outerMm: 15.7, sheathMm: 1.4 });
  });
});
