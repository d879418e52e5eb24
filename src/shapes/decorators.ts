import 'reflect-metadata';
import { Type } from 'class-transformer';
import { registerDecorator, ValidateIf, ValidateNested, type ValidationArguments } from 'class-validator';
import { note, type Fragment } from './fragments';
import { nameLetters, textLetters } from './letters';

/** Bounds of a number; each is stated in the message when it is broken. */
export interface NumberBounds {
  min?: number;
  max?: number;
  /** Strict lower bound. */
  above?: number;
  /** Strict upper bound. */
  under?: number;
  whole?: boolean;
}

/** Says what is wrong with a value, or null. A leading `.2|` names the place in a list. */
type Fault = (value: unknown) => string | null;

function rule(name: string, schema: Fragment, fault: Fault): PropertyDecorator {
  return (target, property) => {
    note(target, property, { schema });
    registerDecorator({
      name,
      target: target.constructor,
      propertyName: property as string,
      validator: {
        validate: (value: unknown) => fault(value) === null,
        defaultMessage: (args?: ValidationArguments) => fault(args?.value) ?? '',
      },
    });
  };
}

const missing = (value: unknown): string | null =>
  value === undefined ? 'is required' : value === null ? 'may not be null' : null;

/** Why a value is no number within its bounds; null when it is one. */
function numberFault(value: unknown, bounds: NumberBounds): string | null {
  const gone = missing(value);
  if (gone) return gone;
  if (typeof value !== 'number' || !Number.isFinite(value)) return 'must be a number';
  const { min, max, above, under, whole } = bounds;
  if (whole && !Number.isInteger(value)) return 'must be a whole number';
  if (above !== undefined && value <= above) return `must be above ${above}`;
  if (min !== undefined && value < min) return `must be at least ${min}`;
  if (under !== undefined && value >= under) return `must be below ${under}`;
  if (max !== undefined && value > max) return `must be at most ${max}`;
  return null;
}

/** The same bounds in the words of JSON Schema. */
const numberSchema = ({ min, max, above, under, whole }: NumberBounds): Fragment => ({
  type: whole ? 'integer' : 'number',
  ...(min !== undefined && { minimum: min }),
  ...(above !== undefined && { exclusiveMinimum: above }),
  ...(max !== undefined && { maximum: max }),
  ...(under !== undefined && { exclusiveMaximum: under }),
});

const textSchema = (most: number, blank = false): Fragment => ({
  type: 'string',
  ...(!blank && { minLength: 1 }),
  maxLength: most,
});

const listSchema = (items: Fragment, atLeast = 0, length?: number): Fragment => ({
  type: 'array',
  items,
  ...((length ?? atLeast) > 0 && { minItems: length ?? atLeast }),
  ...(length !== undefined && { maxItems: length }),
});

/** A finite number within bounds. */
export const Num = (bounds: NumberBounds = {}) =>
  rule('num', numberSchema(bounds), (value) => numberFault(value, bounds));

/** A list of numbers, of a fixed or a least length; the first bad one is named by its place. */
export const NumList = (
  bounds: NumberBounds,
  { length, atLeast = 1 }: { length?: number; atLeast?: number } = {},
) =>
  rule('numList', listSchema(numberSchema(bounds), atLeast, length), (value) => {
    const wrong = listFault(value, length, atLeast);
    if (wrong) return wrong;
    return firstFault(value as unknown[], (item) => numberFault(item, bounds));
  });

/** A text that is not blank, trimmed, of at most some characters. */
export const Text = (most = 200, { blank = false }: { blank?: boolean } = {}) =>
  rule('text', textSchema(most, blank), (value) => textFault(value, most, blank));

/** What something is called: one line of letters that can be seen, of at most some characters. */
export const Name = (most = 200) =>
  rule('name', textSchema(most), (value) => textFault(value, most, false) ?? nameLetters(value as string));

/** A list of texts. */
export const TextList = (most = 200, { atLeast = 0 }: { atLeast?: number } = {}) =>
  rule('textList', listSchema(textSchema(most), atLeast), (value) => {
    const wrong = listFault(value, undefined, atLeast);
    return wrong ?? firstFault(value as unknown[], (item) => textFault(item, most, false));
  });

/** One of a list of words. */
export const OneOf = (words: readonly (string | number)[]) =>
  rule('oneOf', { enum: words }, (value) => wordFault(value, words));

/** A list of words out of a list. */
export const SomeOf = (words: readonly string[], { atLeast = 0 }: { atLeast?: number } = {}) =>
  rule('someOf', listSchema({ enum: words }, atLeast), (value) => {
    const wrong = listFault(value, undefined, atLeast);
    return wrong ?? firstFault(value as unknown[], (item) => wordFault(item, words));
  });

/** True or false. */
export const Flag = () =>
  rule(
    'flag',
    { type: 'boolean' },
    (value) => missing(value) ?? (typeof value === 'boolean' ? null : 'must be true or false'),
  );

/** A range [lower, upper] with lower ≤ upper. */
export const RangeOf = (bounds: NumberBounds) =>
  rule('range', listSchema(numberSchema(bounds), 2, 2), (value) => {
    const wrong =
      listFault(value, 2, 2) ?? firstFault(value as unknown[], (item) => numberFault(item, bounds));
    if (wrong) return wrong;
    const [low, high] = value as [number, number];
    return low <= high ? null : 'must have its lower limit first';
  });

/** Years that a record can be of: certificates are older than the program, and clocks run wrong. */
const FIRST_YEAR = 1950;
const LAST_YEAR = 2199;

const TIME = /^\d{4}-\d{2}-\d{2}(T\d{2}:\d{2}(:\d{2}(\.\d{1,3})?)?(Z|[+-]\d{2}:\d{2}))?$/;

/** A calendar day or a time, ISO 8601. */
export const Time = () =>
  rule('time', { type: 'string', pattern: TIME.source }, (value) => {
    const gone = missing(value);
    if (gone) return gone;
    const ok = typeof value === 'string' && TIME.test(value) && !Number.isNaN(Date.parse(value));
    if (!ok) return 'must be a date like 2026-03-04 or a time like 2026-03-04T10:15:00Z';
    const year = Number(value.slice(0, 4));
    return year >= FIRST_YEAR && year <= LAST_YEAR
      ? null
      : `must lie in the years ${FIRST_YEAR} to ${LAST_YEAR}`;
  });

/** Texts as they were typed that one record may keep, and the characters of one. */
const MOST_TYPED = 500;
const TYPED_LETTERS = 40;

const TYPED: Fragment = {
  type: 'object',
  description: 'Lengths as they were typed, by dotted path.',
  maxProperties: MOST_TYPED,
  additionalProperties: textSchema(TYPED_LETTERS),
};

/** Texts by path, as they were typed; may be left out. */
export const TypedTexts = (): PropertyDecorator => (target, property) => {
  Optional()(target, property);
  rule('typedTexts', TYPED, (value) => {
    const wrong = recordFault(value);
    if (wrong) return wrong;
    const texts = Object.values(value as object);
    return texts.length <= MOST_TYPED && texts.every((text) => textFault(text, TYPED_LETTERS, false) === null)
      ? null
      : `must hold at most ${MOST_TYPED} short texts`;
  })(target, property);
};

/** A time zone by its IANA name, e.g. Europe/London. */
export const TimeZone = () =>
  rule('timeZone', textSchema(60), (value) => {
    const wrong = textFault(value, 60, false);
    if (wrong) return wrong;
    try {
      new Intl.DateTimeFormat('en-GB', { timeZone: value as string });
      return null;
    } catch {
      return 'must be a time zone like Europe/London';
    }
  });

/** May be left out; when it is there, it is checked by the other decorators. */
export const Optional = (): PropertyDecorator => (target, property) => {
  note(target, property, { optional: true });
  ValidateIf((object: Record<string, unknown>) => object[property as string] !== undefined)(
    target,
    property as string,
  );
};

/** Null is allowed; everything else is checked by the other decorators. */
export const Nullable = (): PropertyDecorator => (target, property) => {
  note(target, property, { nullable: true });
  ValidateIf((object: Record<string, unknown>) => object[property as string] !== null)(
    target,
    property as string,
  );
};

/** One word may stand in place of what the other decorators check. */
export const OrWord =
  (word: string): PropertyDecorator =>
  (target, property) => {
    note(target, property, { word });
    ValidateIf((object: Record<string, unknown>) => object[property as string] !== word)(
      target,
      property as string,
    );
  };

/** What a field holds, where its name does not say it all; stands in the published formats. */
export const Means =
  (description: string): PropertyDecorator =>
  (target, property) =>
    note(target, property, { description });

/** An object of a class: neither null, nor a list in its place. */
export const Nested =
  (shape: () => new () => object): PropertyDecorator =>
  (target, property) => {
    rule('nested', {}, (value) => missing(value) ?? recordFault(value))(target, property);
    note(target, property, { of: shape });
    ValidateNested()(target, property as string);
    Type(shape)(target, property as string);
  };

/** A list of objects of a class. */
export const NestedList =
  (shape: () => new () => object, { atLeast = 0 }: { atLeast?: number } = {}): PropertyDecorator =>
  (target, property) => {
    rule(
      'nestedList',
      listSchema({}, atLeast),
      (value) => listFault(value, undefined, atLeast) ?? firstFault(value as unknown[], recordFault),
    )(target, property);
    note(target, property, { of: shape });
    ValidateNested({ each: true })(target, property as string);
    Type(shape)(target, property as string);
  };

const ID = /^[A-Za-z0-9][A-Za-z0-9_.:-]{0,63}$/;
const ID_SCHEMA: Fragment = { type: 'string', pattern: ID.source };

/** An id: letters, digits and -_.: up to 64. */
export const IdText = () => rule('id', ID_SCHEMA, idFault);

const SHA_256 = /^[0-9a-f]{64}$/;

/** A SHA-256 in lower-case hexadecimal digits. */
export const Hash = () =>
  rule('hash', { type: 'string', pattern: SHA_256.source }, (value) =>
    typeof value === 'string' && SHA_256.test(value) ? null : 'must be a SHA-256 in hexadecimal digits',
  );

/** Whatever a format leaves to whoever reads it: facts of a finding, a frozen body. */
export const Whatever = (schema: Fragment = {}) => rule('whatever', schema, () => null);

/** A list of ids. */
export const IdList = () =>
  rule(
    'idList',
    listSchema(ID_SCHEMA),
    (value) => listFault(value, undefined, 0) ?? firstFault(value as unknown[], idFault),
  );

function idFault(value: unknown): string | null {
  const gone = missing(value);
  if (gone) return gone;
  const ok = typeof value === 'string' && ID.test(value);
  return ok ? null : 'must be an id of letters, digits and -_.: (at most 64)';
}

function listFault(value: unknown, length: number | undefined, atLeast: number): string | null {
  const gone = missing(value);
  if (gone) return gone;
  if (!Array.isArray(value)) return 'must be a list';
  if (length !== undefined && value.length !== length) return `must hold ${length} values`;
  return value.length < atLeast ? `must hold at least ${atLeast}` : null;
}

function firstFault(list: readonly unknown[], fault: Fault): string | null {
  for (let i = 0; i < list.length; i++) {
    const wrong = fault(list[i]);
    if (wrong) return `.${i}|${wrong}`;
  }
  return null;
}

function textFault(value: unknown, most: number, blank: boolean): string | null {
  const gone = missing(value);
  if (gone) return gone;
  if (typeof value !== 'string') return 'must be a text';
  if (!blank && value.trim() === '') return 'must not be empty';
  if (value.length > most) return `must have at most ${most} characters`;
  return textLetters(value);
}

function wordFault(value: unknown, words: readonly (string | number)[]): string | null {
  const gone = missing(value);
  if (gone) return gone;
  return words.includes(value as string) ? null : `must be one of: ${words.join(', ')}`;
}

const recordFault = (value: unknown): string | null =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? null : 'must be an object';
