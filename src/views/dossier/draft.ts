import { readConcepts } from '../../core/hazard/concept';
import { readQuantity, shownQuantity } from '../../core/quantity/quantity';
import type { DossierTable } from '../../core/commands/commands';
import { quantityFault } from '../../core/words/en/quantity';
import { recordOffences } from '../../shapes/parse';
import { blankOf, get, put, type Field } from './fields';
import { offenceWords } from './offence-words';

/** A record while it is typed: every figure and word as the text that stands in its field. */
export type Draft = Record<string, unknown>;

/** Where a draft keeps the record that it was made of, for what no field shows. */
const RAW = '__raw';

/** "It has none" of a field of lines. */
export interface Lines {
  none: boolean;
  text: string;
}

type Json = Record<string, unknown>;

/** The texts of a record, field by field. `typed` holds lengths as they were written. */
export function toDraft(
  fields: readonly Field[],
  record: object,
  typed: Readonly<Record<string, string>> = (record as { typed?: Record<string, string> }).typed ?? {},
  path = '',
): Draft {
  const draft: Draft = { [RAW]: record };
  for (const field of fields) put(draft, field.path, shown(field, get(record, field.path), typed, path));
  return draft;
}

function shown(field: Field, value: unknown, typed: Readonly<Record<string, string>>, path: string): unknown {
  const full = path + field.path;
  switch (field.type) {
    case 'measure': {
      const as = typed[full];
      if (as !== undefined && isSame(as, value, field)) return as;
      return shownQuantity(value as number | null, field.quantity);
    }
    case 'lines':
      return {
        none: Array.isArray(value) && value.length === 0,
        text: ((value ?? []) as string[]).join('\n'),
      } satisfies Lines;
    case 'names':
    case 'concepts':
      return ((value ?? []) as string[]).join(', ');
    case 'choices':
    case 'references':
      return [...((value ?? []) as string[])];
    case 'ternary':
      return value == null ? '' : value ? 'yes' : 'no';
    case 'date':
      return value == null ? '' : String(value).slice(0, 10);
    case 'list':
      return value == null
        ? field.nullable
          ? null
          : []
        : (value as object[]).map((item, i) => toDraft(field.fields, item, typed, `${full}.${i}.`));
    case 'group':
      if (value == null || value === field.word?.value) return value ?? null;
      return toDraft(field.fields, value as object, typed, `${full}.`);
    default:
      return value == null ? '' : String(value);
  }
}

/** Whether a typed text still says what the record holds. */
function isSame(text: string, value: unknown, field: Field & { type: 'measure' }): boolean {
  const read = readQuantity(text, field.quantity);
  return 'value' in read && read.value === value;
}

/** The record that a draft says, lengths as typed beside it, and what cannot be read, by path. */
export interface Read {
  record: Json;
  typed: Record<string, string>;
  faults: Record<string, string>;
}

/** Reads a draft back; what cannot be read stays out of the record and is named. */
export function toRecord(fields: readonly Field[], draft: Draft, path = ''): Read {
  const raw = draft[RAW] as object;
  const record = (Array.isArray(raw) ? [...raw] : structuredClone(raw)) as Json;
  delete record.typed;
  const read: Read = { record, typed: {}, faults: {} };
  for (const field of fields) {
    const value = valueOf(field, get(draft, field.path), path + field.path, read);
    put(record, field.path, value);
  }
  for (const field of fields) foldPair(record, field.path);
  return read;
}

/** A range of which neither end is recorded is not recorded itself. */
function foldPair(record: Json, path: string): void {
  const [, at] = /^(.*)\.1$/.exec(path) ?? [];
  if (at === undefined) return;
  const pair = get(record, at);
  if (Array.isArray(pair) && pair.every((end) => end === null)) put(record, at, null);
}

function valueOf(field: Field, value: unknown, full: string, read: Read): unknown {
  switch (field.type) {
    case 'measure': {
      const text = value as string;
      if (text.trim() === '') return null;
      const found = readQuantity(text, field.quantity);
      if ('fault' in found) {
        read.faults[full] = quantityFault(found.fault, field.quantity);
        return null;
      }
      const plain = shownQuantity(found.value, field.quantity);
      if (found.typed !== plain) read.typed[full] = found.typed;
      return found.value;
    }
    case 'lines': {
      const { none, text } = value as Lines;
      const lines = text
        .split('\n')
        .map((line) => line.trim())
        .filter(Boolean);
      return lines.length > 0 ? lines : none ? [] : null;
    }
    case 'names':
      return (value as string)
        .split(',')
        .map((word) => word.trim())
        .filter(Boolean);
    case 'concepts': {
      const found = readConcepts(value as string);
      if ('concepts' in found) return found.concepts;
      read.faults[full] = `"${found.unknown}" is no kind of protection. Type the letters of the marking, for example db eb or d/e; group and class have fields of their own.`; // prettier-ignore
      return [];
    }
    case 'ternary':
      return value === '' ? null : value === 'yes';
    case 'select':
      return field.options.find((option) => String(option) === value) ?? null;
    case 'date': {
      // A time of day that the field does not show stays.
      const before = read.record && (get(read.record, field.path) as string | null);
      if (value === '') return null;
      return typeof before === 'string' && before.slice(0, 10) === value ? before : value;
    }
    case 'free-text':
      return value;
    case 'list':
      return (value as Draft[] | null)?.map((item, i) => nested(field.fields, item, `${full}.${i}.`, read)) ?? null; // prettier-ignore
    case 'group':
      if (value === null || value === field.word?.value) return value;
      return nested(field.fields, value as Draft, `${full}.`, read);
    case 'choices':
    case 'references':
      return value;
    default:
      return (value as string).trim() === '' ? null : (value as string);
  }
}

function nested(fields: readonly Field[], draft: Draft, path: string, read: Read): Json {
  const inner = toRecord(fields, draft, path);
  Object.assign(read.typed, inner.typed);
  Object.assign(read.faults, inner.faults);
  return inner.record;
}

/** A list or group before anything is typed in it. */
export const blankDraft = ({ fields, extra }: { fields: readonly Field[]; extra?: object }): Draft =>
  toDraft(fields, blankOf(fields, extra));

/** Tables whose records keep their figures as they were typed. */
const KEEP_TYPED: ReadonlySet<string> = new Set(['enclosure', 'cable', 'certificate', 'entry']);

/** The record as it is sent: with its figures as typed, where the text is more than the number and the table keeps it. */
export const asSent = (table: DossierTable | 'site', { record, typed }: Read): Json =>
  KEEP_TYPED.has(table) && Object.keys(typed).length > 0 ? { ...record, typed } : record;

/**
 * Everything that is wrong with a draft, at the paths of its fields: what cannot be read, then what the server's own
 * check says. What lies in no field is told under the path that it has.
 */
export function faultsOf(
  table: DossierTable | 'site',
  fields: readonly Field[],
  draft: Draft,
): Record<string, string> {
  const read = toRecord(fields, draft);
  const faults: Record<string, string> = {};
  const paths = pathsOf(fields, draft);
  for (const { field, message } of recordOffences(table, own(asSent(table, read)))) {
    const at = fieldAt(field, paths);
    faults[at] ??= offenceWords(message);
  }
  return { ...faults, ...read.faults };
}

/** A record without what the reducer keeps. */
export function own(record: Json): Json {
  const { site: _s, rev: _r, stamps: _t, lastSeal: _l, cableSince: _c, of: _o, lentAt: _e, ...rest } = record;
  return rest;
}

/** Every path that has a field here. */
function pathsOf(fields: readonly Field[], draft: Draft, path = ''): Set<string> {
  const paths = new Set<string>();
  for (const field of fields) {
    const full = path + field.path;
    paths.add(full);
    const value = get(draft, field.path);
    if (field.type === 'list')
      (value as Draft[] | null)?.forEach((item, i) => {
        for (const inner of pathsOf(field.fields, item, `${full}.${i}.`)) paths.add(inner);
      });
    else if (field.type === 'group' && value !== null && typeof value === 'object')
      for (const inner of pathsOf(field.fields, value as Draft, `${full}.`)) paths.add(inner);
  }
  return paths;
}

/** The field that an offence belongs to: its own, an end of its range, or the one that it lies in. */
export function fieldAt(path: string, paths: ReadonlySet<string>): string {
  for (const one of [path, `${path}.0`]) if (paths.has(one)) return one;
  const outer = path.replace(/\.[^.]+$/, '');
  return outer === path ? path : paths.has(outer) ? outer : fieldAt(outer, paths);
}
