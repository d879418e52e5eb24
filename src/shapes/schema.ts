import type { Later } from '../core/record/completed';
import { notesOf, type FieldNote, type Fragment } from './fragments';

/**
 * The JSON Schema (draft 7) of a class with the decorators of this folder: the same limits that `check` holds it to.
 *
 * @param later fields that records of an earlier day were written without; they may be missing
 */
export function schemaOf(Shape: new () => object, later: Later = {}): Fragment {
  const notes = [...notesOf(Shape)];
  const needed = notes.filter(([field, { optional }]) => !optional && !(field in (later.own ?? {})));
  return {
    type: 'object',
    additionalProperties: false,
    required: needed.map(([field]) => field),
    properties: Object.fromEntries(
      notes.map(([field, said]) => [field, fieldSchema(said, later.inside?.[field])]),
    ),
  };
}

function fieldSchema({ schema = {}, of, nullable, word, description }: FieldNote, later?: Later): Fragment {
  const own = of ? holding(schema, schemaOf(of(), later)) : schema;
  const choices = [
    own,
    ...(word === undefined ? [] : [{ const: word }]),
    ...(nullable ? [{ type: 'null' }] : []),
  ];
  return { ...(description && { description }), ...(choices.length > 1 ? { anyOf: choices } : own) };
}

const holding = (schema: Fragment, inner: Fragment): Fragment =>
  schema.type === 'array' ? { ...schema, items: inner } : inner;
