import { describe, expect, it } from 'vitest';
import { InputError } from '../core/quantity/error';
import { check } from './check';
import * as d from './decorators';
import { lookOf } from './letters';

class Inner {
  @d.Num({ min: 0 }) size!: number;
  @d.Nullable() @d.Text(5) note!: string | null;
}

class Shape {
  @d.Num({ above: 0, max: 10 }) above!: number;
  @d.Num({ min: 1, max: 4, whole: true }) whole!: number;
  @d.Num({ under: 100 }) under!: number;
  @d.NumList({ min: 0 }, { length: 2 }) pair!: number[];
  @d.Text(5) text!: string;
  @d.TextList(3, { atLeast: 1 }) texts!: string[];
  @d.OneOf(['a', 1]) word!: string | number;
  @d.SomeOf(['x', 'y']) words!: string[];
  @d.Flag() flag!: boolean;
  @d.RangeOf({ min: 0 }) range!: number[];
  @d.Time() time!: string;
  @d.TimeZone() zone!: string;
  @d.IdText() id!: string;
  @d.IdList() ids!: string[];
  @d.Nullable() @d.Nested(() => Inner) inner!: Inner | null;
  @d.NestedList(() => Inner, { atLeast: 1 }) list!: Inner[];
}

const SOUND = {
  above: 1, whole: 2, under: 3, pair: [0, 1], text: 'abc', texts: ['a'], word: 1, words: [], flag: false, range: [1, 1],
  time: '2026-03-04T10:00:00Z', zone: 'Europe/London', id: 'a-1', ids: [], inner: null, list: [{ size: 1, note: null }],
}; // prettier-ignore

const offence = (change: object, options = {}) => {
  try {
    check(Shape, { ...SOUND, ...change }, options);
    return 'none';
  } catch (error) {
    if (error instanceof InputError) return `${error.field}: ${error.message}`;
    throw error;
  }
};

describe('a checked shape', () => {
  it('takes a sound value and gives it back unchanged', () => {
    expect(check(Shape, SOUND)).toBe(SOUND);
    expect(offence({ inner: { size: 0, note: 'x' } })).toBe('none');
  });

  it.each([
    [{ above: 0 }, 'above: above must be above 0'],
    [{ above: 11 }, 'above: above must be at most 10'],
    [{ above: Infinity }, 'above: above must be a number'],
    [{ above: '1' }, 'above: above must be a number'],
    [{ above: true }, 'above: above must be a number'],
    [{ above: undefined }, 'above: above is required'],
    [{ above: null }, 'above: above may not be null'],
    [{ whole: 1.5 }, 'whole: whole must be a whole number'],
    [{ whole: 0 }, 'whole: whole must be at least 1'],
    [{ under: 100 }, 'under: under must be below 100'],
    [{ pair: [1] }, 'pair: pair must hold 2 values'],
    [{ pair: [1, -1] }, 'pair.1: pair.1 must be at least 0'],
    [{ pair: { 0: 1, 1: 2 } }, 'pair: pair must be a list'],
    [{ text: '' }, 'text: text must not be empty'],
    [{ text: '  ' }, 'text: text must not be empty'],
    [{ text: 'abcdef' }, 'text: text must have at most 5 characters'],
    [{ text: 5 }, 'text: text must be a text'],
    [{ texts: [] }, 'texts: texts must hold at least 1'],
    [{ texts: ['a', 'abcd'] }, 'texts.1: texts.1 must have at most 3 characters'],
    [{ word: 'b' }, 'word: word must be one of: a, 1'],
    [{ word: '1' }, 'word: word must be one of: a, 1'],
    [{ words: ['x', 'z'] }, 'words.1: words.1 must be one of: x, y'],
    [{ flag: 0 }, 'flag: flag must be true or false'],
    [{ range: [2, 1] }, 'range: range must have its lower limit first'],
    [{ time: '4 March' }, 'time: time must be a date like 2026-03-04 or a time like 2026-03-04T10:15:00Z'],
    [
      { time: '2026-03-04T10:00:00' },
      'time: time must be a date like 2026-03-04 or a time like 2026-03-04T10:15:00Z',
    ],
    [{ zone: 'Mars/Olympus' }, 'zone: zone must be a time zone like Europe/London'],
    [{ id: '../etc' }, 'id: id must be an id of letters, digits and -_.: (at most 64)'],
    [{ ids: ['a', ''] }, 'ids.1: ids.1 must be an id of letters, digits and -_.: (at most 64)'],
    [{ inner: [] }, 'inner: inner must be an object'],
    [{ inner: 'x' }, 'inner: inner must be an object'],
    [{ inner: { size: 1 } }, 'inner.note: inner.note is required'],
    [{ inner: { size: 1, note: null, more: 1 } }, 'inner.more: inner.more is not a known field'],
    [{ list: [] }, 'list: list must hold at least 1'],
    [{ list: [{ size: 1, note: null }, null] }, 'list.1: list.1 must be an object'],
    [
      {
        list: [
          { size: 1, note: null },
          { size: -1, note: null },
        ],
      },
      'list.1.size: list.1.size must be at least 0',
    ],
    [{ stray: 1 }, 'stray: stray is not a known field'],
    [{ constructor: 1 }, 'constructor: constructor is not a known field'],
    [
      { inner: { size: 1, note: null, prototype: {} } },
      'inner.prototype: inner.prototype is not a known field',
    ],
  ])('%j', (change, wanted) => expect(offence(change)).toBe(wanted));

  it('names the first offence in the order of the class, unknown fields last', () => {
    expect(offence({ stray: 1, whole: 0, above: 0 })).toMatch(/^above:/);
    expect(offence({ stray: 1, list: [] })).toMatch(/^list:/);
  });

  it('in an edit fields may be left out, but not all, and null stays null', () => {
    const edit = (value: object) => {
      try {
        check(Shape, value, { partial: true, path: 'set.' });
        return 'none';
      } catch (error) {
        return (error as InputError).field;
      }
    };
    expect(edit({ above: 1 })).toBe('none');
    expect(edit({ inner: null })).toBe('none');
    expect(edit({ above: null })).toBe('set.above');
    expect(edit({})).toBe('set');
  });

  it.each([null, [], 'text', 7])('%j is no object', (value) => {
    expect(() => check(Shape, value, { path: 'payload.' })).toThrow('must be a JSON object');
  });
});

describe('what is refused before it is looked at', () => {
  const nested = (depth: number): unknown => (depth === 0 ? 1 : { inner: nested(depth - 1) });
  const wide = (n: number) => Object.fromEntries(Array.from({ length: n }, (_, i) => [`k${i}`, i]));
  it.each([
    ['a value that is too deep', { inner: nested(5000) }, 'nested too deep'],
    ['an object that is too wide', { inner: wide(101) }, 'too many fields; at most 100'],
    [
      'a list of too much',
      { list: Array.from({ length: 10_000 }, () => wide(80)) },
      'too much for one record',
    ],
    ['half a letter', { text: '\uD800' }, 'half a letter'],
    ['half a letter in a name of a field', { ['\uDC00']: 1 }, 'half a letter'],
    ['NUL', { text: 'a\u0000' }, 'control character (U+0000)'],
    ['a turn of direction', { text: 'a\u202Eb' }, 'control character (U+202E)'],
    ['an object of very many fields', { inner: wide(200_000) }, 'too many fields'],
  ])('%s', (_what, change, words) => expect(offence(change)).toContain(words));

  class Named {
    @d.Name(20) name!: string;
    @d.Time() time!: string;
  }
  it.each([
    [{ name: 'JB\u200B-1' }, 'cannot be seen (U+200B)'],
    [{ name: 'a\nb' }, 'one line'],
    [{ time: '1949-12-31' }, 'years 1950 to 2199'],
    [{ time: '2200-01-01T00:00:00Z' }, 'years 1950 to 2199'],
  ])('names and years: %j', (change, words) => {
    expect(() => check(Named, { name: 'JB-1', time: '2026-03-04', ...change })).toThrow(words);
  });
});

describe('names that look alike', () => {
  it.each([
    ['A. Vell', '\u0410. Vell'],
    ['A. Vell', 'a vell'],
    ['R. Tarn', 'R.\u00A0T\u0430rn'],
    ['Unit 10', 'Unit lO'],
  ])('%s, %s', (a, b) => expect(lookOf(a)).toBe(lookOf(b)));
  it('and those that do not', () => expect(lookOf('M. Okonjo')).not.toBe(lookOf('M. Okonji')));
});
