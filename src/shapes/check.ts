import 'reflect-metadata';
import { validateSync, type ValidationError } from 'class-validator';
import { InputError } from '../core/quantity/error';
import { instanceOf } from './instance';
import { textLetters } from './letters';

/** An offence against a shape, which says it in its own words. */
export const shapeError = (field: string, says: string): InputError =>
  new InputError(field, 'shape', { says });

const FORBIDDEN = new Set(['constructor', '__proto__', 'prototype']);

/** How a value is checked. */
export interface Checking {
  /** Put before every field, e.g. `payload.` */
  path?: string;
  /** Fields may be left out (an edit), but not all of them. */
  partial?: boolean;
  /** It is part of something that was guarded. */
  guarded?: boolean;
}

/**
 * Checks a value against a class with the decorators of this folder.
 *
 * @returns the value, unchanged
 * @throws InputError with the dotted path of the first offence in the order of the class; unknown fields come last
 */
export function check<T extends object>(
  Shape: new () => T,
  value: unknown,
  { path = '', partial = false, guarded = false }: Checking = {},
): T {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    throw shapeError(path.replace(/\.$/, ''), 'must be a JSON object');
  }
  if (!guarded) guard(value, path);
  if (partial && Object.keys(value).length === 0) {
    throw shapeError(path.replace(/\.$/, ''), 'must set at least one field');
  }
  const first = firstOffence(errorsOf(Shape, value, partial));
  if (first) {
    const field = path + first.field;
    throw shapeError(field, `${field} ${first.message}`);
  }
  return value as T;
}

/** What a shape says about a value; in an edit fields of the first level may be left out, what lies in them may not. */
function errorsOf(Shape: new () => object, value: object, partial: boolean): ValidationError[] {
  const errors = validateSync(instanceOf(Shape, value), {
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    stopAtFirstError: true,
  });
  return partial ? errors.filter(({ property }) => Object.hasOwn(value, property)) : errors;
}

/** One thing that is wrong with a value: where, and what. */
export interface Offence {
  /** Dotted path. */
  field: string;
  /** What is wrong, without the name of the field: "must be above 0". */
  message: string;
}

/** Everything that is wrong with a value, so that a form can say all of it at once. Empty where nothing is. */
export function offencesOf(Shape: new () => object, value: object): Offence[] {
  return errorsOf(Shape, value, false).flatMap((error) => all(error, ''));
}

function all(error: ValidationError, path: string): Offence[] {
  const at = path + error.property;
  const own = Object.values(error.constraints ?? {})[0];
  if (error.constraints?.whitelistValidation !== undefined)
    return [{ field: at, message: 'is not a known field' }];
  if (own === undefined) return (error.children ?? []).flatMap((child) => all(child, `${at}.`));
  const [, place = '', message = own] = /^(\.\S+)\|(.*)$/s.exec(own) ?? [];
  return [{ field: at + place, message }];
}

/** Objects that lie in one another no deeper. */
const DEEPEST = 24;
/** Fields of one object: the search for unknown ones takes their square. */
const MOST_FIELDS = 100;
/** Texts as they were typed stand by the path of their field, and are many. */
const MOST_TYPED = 500;
/** Everything that a value may hold, lists and what is in them counted. */
const MOST_IN_ALL = 600_000;

/**
 * Refuses, before anything is looked up in it, a value that is too deep or too wide to be looked at, names that could
 * reach into a prototype, and texts that are none.
 */
export function guard(value: object, path: string): void {
  let left = MOST_IN_ALL;
  const look = (one: object, at: string, depth: number): void => {
    if (depth > DEEPEST) throw shapeError(at.slice(0, 80), 'The value is nested too deep to be looked at.');
    const list = Array.isArray(one);
    const keys = Object.keys(one);
    left -= keys.length;
    const most = at.endsWith('typed.') ? MOST_TYPED : MOST_FIELDS;
    const field = at.replace(/\.$/, '');
    if (left < 0) throw shapeError(field, 'This is too much for one record; split it.');
    if (!list && keys.length > most)
      throw shapeError(field, `${field || 'The value'} holds too many fields; at most ${most} are known.`);
    for (const key of keys) {
      const here = at + key;
      if (FORBIDDEN.has(key)) throw shapeError(here, `${here} is not a known field`);
      const inner = (one as Record<string, unknown>)[key];
      if (typeof inner === 'object' && inner !== null) look(inner, `${here}.`, depth + 1);
      const wrong = typeof inner === 'string' ? textLetters(inner) : list ? null : textLetters(key);
      if (wrong) throw shapeError(here.slice(0, 80), `${here.slice(0, 80)} ${wrong}`);
    }
  };
  look(value, path, 0);
}

function firstOffence(errors: readonly ValidationError[]): { field: string; message: string } | null {
  const unknown = (error: ValidationError) => error.constraints?.whitelistValidation !== undefined;
  for (const error of errors) {
    if (unknown(error)) continue;
    const own = Object.values(error.constraints ?? {})[0];
    if (own !== undefined) {
      const [, place = '', text = own] = /^(\.\S+)\|(.*)$/s.exec(own) ?? [];
      return { field: error.property + place, message: text };
    }
    const inner = firstOffence(error.children ?? []);
    if (inner) return { field: `${error.property}.${inner.field}`, message: inner.message };
  }
  const stray = errors.find(unknown);
  return stray ? { field: stray.property, message: 'is not a known field' } : null;
}
