import { Ajv } from 'ajv';
import { describe, expect, it } from 'vitest';
import { offencesOf } from './check';
import {
  Flag,
  Hash,
  IdList,
  IdText,
  Means,
  Name,
  Nested,
  NestedList,
  Nullable,
  Num,
  NumList,
  OneOf,
  Optional,
  OrWord,
  RangeOf,
  SomeOf,
  Text,
  TextList,
  Time,
  TypedTexts,
} from './decorators';
import { schemaOf } from './schema';

class Point {
  @Num({ min: -5, max: 5 }) x!: number;
  @Optional() @Nullable() @Num({ above: 0, under: 1 }) share?: number | null;
}

class Everything {
  @IdText() id!: string;
  @Name(10) name!: string;
  @Text(4, { blank: true }) remark!: string;
  @TextList(4, { atLeast: 1 }) sleeves!: string[];
  @Num({ min: 1, max: 9, whole: true }) count!: number;
  @NumList({ above: 0 }, { length: 2 }) pair!: number[];
  @RangeOf({ min: 0, max: 100 }) rangeMm!: number[];
  @OneOf(['round', 'flat']) shape!: string;
  @SomeOf(['a', 'b'], { atLeast: 1 }) letters!: string[];
  @Flag() sure!: boolean;
  @Time() at!: string;
  @IdList() ids!: string[];
  @Hash() hash!: string;
  @TypedTexts() typed?: Record<string, string>;
  @Means('Where it sits, m.') @Nested(() => Point) point!: Point;
  @NestedList(() => Point, { atLeast: 1 }) points!: Point[];
  @Nullable() @OrWord('none') @Nested(() => Point) other!: Point | 'none' | null;
}

const GOOD: Record<string, unknown> = {
  id: 'A-1',
  name: 'gland',
  remark: '',
  sleeves: ['1'],
  count: 3,
  pair: [1, 2],
  rangeMm: [6, 12],
  shape: 'round',
  letters: ['a'],
  sure: true,
  at: '2026-03-04T10:15:00Z',
  ids: [],
  hash: 'a'.repeat(64),
  point: { x: 1 },
  points: [{ x: 1, share: 0.5 }],
  other: null,
};

/** Values by field: those that hold, then those that do not. */
const VALUES: Record<string, [good: unknown[], bad: unknown[]]> = {
  id: [['a', 'a.b:c_d-e'], ['', '-a', 'a b', 7, null]],
  name: [['g'], ['', 'x'.repeat(11), 1, null]],
  remark: [['', 'abcd'], ['abcde', null]],
  sleeves: [[['1', '2']], [[], ['12345'], 'a', [''], null]],
  count: [[1, 9], [0, 10, 1.5, '3', null]],
  pair: [[[0.1, 5]], [[1], [1, 2, 3], [0, 1], null]],
  rangeMm: [[[0, 100], [5, 5]], [[-1, 5], [1], [1, 101], null]],
  shape: [['flat'], ['oval', 1, null]],
  letters: [[['a', 'b']], [[], ['c'], 'a']],
  sure: [[false], ['yes', 0, null]],
  at: [['2026-03-04', '2026-03-04T10:15:00.123+01:00'], ['4.3.2026', '2026-03-04 10:15', 5, null]],
  ids: [[['a', 'b']], [['a b'], 'a', null]],
  hash: [['0123456789abcdef'.repeat(4)], ['A'.repeat(64), 'a'.repeat(63)]],
  typed: [[{ 'a.b': '1/2 in' }, {}], [{ a: '' }, { a: 'x'.repeat(41) }, { a: 1 }]],
  point: [[{ x: -5, share: null }], [{ x: 6 }, {}, { x: 1, y: 1 }, [], null, { x: 1, share: 1 }]],
  points: [[[{ x: 1 }, { x: 2, share: 0.1 }]], [[], [{ x: 9 }], [null], { x: 1 }, null]],
  other: [['none', { x: 0 }], ['some', { x: 6 }, 1]],
}; // prettier-ignore

const validate = new Ajv({ strict: false }).compile(schemaOf(Everything));

/** Whether the shape takes a value; the schema is asked beside it. */
const taken = (value: object) => offencesOf(Everything, value).length === 0;

describe('the schema of a shape', () => {
  it('takes what the shape takes', () => {
    expect(taken(GOOD)).toBe(true);
    expect(validate(GOOD)).toBe(true);
  });

  const rows = Object.entries(VALUES);
  it.each(rows)('and holds %s to the same limits', (field, [good, bad]) => {
    for (const value of good) {
      expect([value, taken({ ...GOOD, [field]: value })]).toEqual([value, true]);
      expect([value, validate({ ...GOOD, [field]: value })]).toEqual([value, true]);
    }
    for (const value of bad) {
      expect([value, taken({ ...GOOD, [field]: value })]).toEqual([value, false]);
      expect([value, validate({ ...GOOD, [field]: value })]).toEqual([value, false]);
    }
  });

  it('asks for every field that may not be left out, and for no other', () => {
    const fields = Object.keys(VALUES).filter((field) => field !== 'typed');
    for (const field of fields) {
      const { [field]: _left, ...others } = GOOD;
      expect([field, taken(others), validate(others)]).toEqual([field, false, false]);
    }
    expect(schemaOf(Everything).required).toEqual(fields);
  });

  it('lets a field be missing that records of an earlier day were written without, at any depth', () => {
    const earlier = new Ajv().compile(
      schemaOf(Everything, { own: { hash: '' }, inside: { points: { own: { x: 0 } } } }),
    );
    const { hash: _hash, ...others } = GOOD;
    expect(earlier(others)).toBe(true);
    expect(earlier({ ...others, points: [{ share: 0.5 }] })).toBe(true);
    expect(earlier({ ...others, point: { share: 0.5 } })).toBe(false);
  });

  it('inherits fields, and those of a class stand by themselves', () => {
    class More extends Everything {
      @Flag() more!: boolean;
    }
    const fields = (Shape: new () => object) => Object.keys(schemaOf(Shape).properties as object);
    expect(fields(More)).toEqual([...fields(Everything), 'more']);
    expect(fields(Everything)).not.toContain('more');
  });

  it('says what a field means where its name does not', () => {
    const { point } = schemaOf(Everything).properties as Record<string, { description?: string }>;
    expect(point!.description).toBe('Where it sits, m.');
  });

  it('a number that is named by a number is named by text', () => {
    class Levels {
      @Num() 4!: number;
    }
    expect(schemaOf(Levels).required).toEqual(['4']);
  });
});
