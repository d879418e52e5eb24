import { Button } from '@mantine/core';
import { useState } from 'react';
import { parseLength } from '../../core/quantity/length';
import type { Slice } from '../../core/record/slice';
import type { Tables } from '../../core/record/types';
import { SHIPPED } from '../../core/rulebook/references';
import { LENGTH_FAULT_WORDS } from '../../core/words/labels';
import type { Field } from './fields';

type Value = Record<string, unknown> | unknown[];

interface Props {
  fields: readonly Field[];
  value: object;
  slice: Slice;
  site: string;
  onSave: (value: Record<string, unknown>) => void;
  onCancel: () => void;
}

/** A form over one record: every field is kept as typed until the whole is saved. */
export function RecordForm({ fields, value, slice, site, onSave, onCancel }: Props) {
  const [draft, setDraft] = useState<Value>(() => structuredClone(value) as Value);
  const [typed, setTyped] = useState<Record<string, string>>(
    () => (value as { typed?: Record<string, string> }).typed ?? {},
  );
  const [problems, setProblems] = useState<Record<string, string>>({});
  const problem = (path: string, text: string | null) =>
    setProblems(({ [path]: _gone, ...rest }) => (text === null ? rest : { ...rest, [path]: text }));
  const faults = [...Object.values(problems), ...faultsOf(fields, draft)];
  return (
    <form
      className="record-form"
      onSubmit={(event) => {
        event.preventDefault();
        if (faults.length === 0) onSave(withTyped(draft as Record<string, unknown>, typed));
      }}
    >
      <Fields
        fields={fields}
        value={draft}
        path=""
        slice={slice}
        site={site}
        onChange={setDraft}
        onProblem={problem}
        typed={typed}
        onTyped={(path, text) => setTyped((all) => ({ ...all, [path]: text }))}
      />
      {faults.length > 0 && (
        <p role="alert" className="tone-failed">
          {faults[0]}
        </p>
      )}
      <div className="form-foot">
        <Button type="submit" disabled={faults.length > 0}>
          Save
        </Button>
        <Button variant="default" onClick={onCancel}>
          Cancel
        </Button>
      </div>
    </form>
  );
}

/** What is missing or out of bounds, field by field, lists and groups included. */
function faultsOf(fields: readonly Field[], value: Value): string[] {
  return fields.flatMap((field) => {
    const current = get(value, field.path);
    if (field.type === 'list')
      return ((current ?? []) as Value[]).flatMap((item) => faultsOf(field.fields, item));
    if (field.type === 'group') {
      return current == null
        ? []
        : faultsOf(field.fields, current as Value).map((fault) => `${field.title}: ${fault}`);
    }
    if ('nullable' in field && field.nullable && current == null) return [];
    if (field.type === 'text' || field.type === 'reference') {
      const blank = String(current ?? '').trim() === '' && !OPTIONAL.has(field.path);
      return blank ? [`${field.title} is empty; fill it in.`] : [];
    }
    if (field.type === 'length') {
      const low = Number(current) > 0 || (field.zero && Number(current) === 0);
      if (!low) return [`${field.title} must be above 0 mm.`];
    }
    return field.path.endsWith('.1') && Number(get(value, field.path.replace(/1$/, '0'))) > Number(current)
      ? [`${field.title} lies below its lower limit.`]
      : [];
  });
}
const OPTIONAL = new Set(['substances', 'from', 'to', 'calibration']);

interface FieldsProps {
  fields: readonly Field[];
  value: Value;
  path: string;
  slice: Slice;
  site: string;
  onChange: (value: Value) => void;
  onProblem: (path: string, text: string | null) => void;
  /** Lengths as they were typed, by path. */
  typed: Readonly<Record<string, string>>;
  onTyped: (path: string, text: string) => void;
}

function Fields(props: FieldsProps) {
  return props.fields.map((field) => <FieldView key={field.path} field={field} {...props} />);
}

function FieldView({
  typed,
  onTyped,
  field,
  value,
  path,
  slice,
  site,
  onChange,
  onProblem,
}: FieldsProps & { field: Field }) {
  const current = get(value, field.path);
  const full = `${path}${field.path}`;
  const change = (next: unknown) => onChange(set(value, field.path, next));
  switch (field.type) {
    case 'list': {
      const list = (current ?? []) as Value[];
      return (
        <fieldset className="wide">
          <legend>
            {field.nullable ? (
              <label>
                <input
                  type="checkbox"
                  checked={current != null}
                  onChange={(event) => change(event.target.checked ? [] : null)}
                />{' '}
                {field.title}: recorded
              </label>
            ) : (
              field.title
            )}
          </legend>
          {current != null && list.length === 0 && <p className="quiet">None.</p>}
          {list.map((item, i) => (
            <div key={i} className="list-item">
              <Fields
                fields={field.fields}
                value={item}
                path={`${full}.${i}.`}
                slice={slice}
                site={site}
                onProblem={onProblem}
                typed={typed}
                onTyped={onTyped}
                onChange={(next) => change(list.map((old, j) => (j === i ? next : old)))}
              />
              <span className="list-buttons">
                <Button
                  size="compact-md"
                  variant="default"
                  onClick={() =>
                    change([...list.slice(0, i + 1), structuredClone(item), ...list.slice(i + 1)])
                  }
                >
                  Copy
                </Button>
                <Button
                  size="compact-md"
                  variant="default"
                  onClick={() => change(list.filter((_, j) => j !== i))}
                >
                  Take out
                </Button>
              </span>
            </div>
          ))}
          {current != null && (
            <Button size="compact-md" variant="default" onClick={() => change([...list, field.blank()])}>
              Add
            </Button>
          )}
        </fieldset>
      );
    }
    case 'group':
      return (
        <fieldset className="wide">
          <legend>
            {field.nullable ? (
              <label>
                <input
                  type="checkbox"
                  checked={current != null}
                  onChange={(event) => change(event.target.checked ? field.blank() : null)}
                />{' '}
                {field.title}
              </label>
            ) : (
              field.title
            )}
          </legend>
          {current != null && (
            <Fields
              fields={field.fields}
              value={current as Value}
              path={`${full}.`}
              slice={slice}
              site={site}
              onProblem={onProblem}
              typed={typed}
              onTyped={onTyped}
              onChange={change}
            />
          )}
        </fieldset>
      );
    case 'flag':
      return (
        <label className="field flag">
          <input
            type="checkbox"
            checked={Boolean(current)}
            onChange={(event) => change(event.target.checked)}
          />{' '}
          {field.title}
        </label>
      );
    case 'references':
      return (
        <References
          title={field.title}
          table={field.table}
          chosen={(current ?? []) as string[]}
          slice={slice}
          site={site}
          onChange={change}
        />
      );
    default:
      return (
        <label className="field">
          <span>
            {field.title}
            {field.type === 'length' ? ', mm or in' : ''}
            {field.type === 'number' && field.unit ? `, ${field.unit}` : ''}
            {'hint' in field && field.hint ? ` (${field.hint})` : ''}
          </span>
          <Input
            field={field}
            current={current}
            full={full}
            slice={slice}
            site={site}
            onChange={change}
            onProblem={onProblem}
            typed={typed}
            onTyped={onTyped}
          />
        </label>
      );
  }
}

interface InputProps {
  field: Field;
  current: unknown;
  full: string;
  slice: Slice;
  site: string;
  onChange: (value: unknown) => void;
  onProblem: (path: string, text: string | null) => void;
  /** Lengths as they were typed, by path. */
  typed: Readonly<Record<string, string>>;
  onTyped: (path: string, text: string) => void;
}

function Input({ field, current, full, slice, site, onChange, onProblem, typed, onTyped }: InputProps) {
  const [text, setText] = useState(() => shown(field, current, typed[full]));
  const take = (text: string) => {
    setText(text);
    if (field.type === 'length') onTyped(full, text.trim());
    const read = parse(field, text);
    onProblem(full, 'problem' in read ? `${field.title}: ${read.problem}` : null);
    if ('value' in read) onChange(read.value);
  };
  if (field.type === 'select') {
    return (
      <select
        value={String(current ?? '')}
        onChange={(event) =>
          onChange(field.options.find((option) => String(option) === event.target.value) ?? null)
        }
      >
        {field.nullable && <option value="">not recorded</option>}
        {field.options.map((option) => (
          <option key={option}>{option}</option>
        ))}
      </select>
    );
  }
  if (field.type === 'reference-set') {
    return (
      <select value={String(current)} onChange={(event) => onChange(event.target.value)}>
        {[...SHIPPED, ...slice.by('reference', 'site', site)].map(({ id, title }) => (
          <option key={id} value={id}>
            {title}
          </option>
        ))}
      </select>
    );
  }
  if (field.type === 'ternary') {
    return (
      <select
        value={current == null ? '' : current ? 'yes' : 'no'}
        onChange={(event) => onChange(event.target.value === '' ? null : event.target.value === 'yes')}
      >
        <option value="">not recorded</option>
        <option>yes</option>
        <option>no</option>
      </select>
    );
  }
  if (field.type === 'reference') {
    return (
      <select
        value={String(current ?? '')}
        onChange={(event) => onChange(event.target.value || (field.nullable ? null : ''))}
      >
        <option value="">{field.nullable ? 'not recorded' : 'choose'}</option>
        {slice.by(field.table, 'site', site).map((record) => (
          <option key={record.id} value={record.id}>
            {titleOf(slice, field.table, record)}
          </option>
        ))}
      </select>
    );
  }
  return (
    <input
      type={field.type === 'date' ? 'date' : 'text'}
      value={text}
      onChange={(event) => take(event.target.value)}
    />
  );
}

function References({
  title,
  table,
  chosen,
  slice,
  site,
  onChange,
}: {
  title: string;
  table: 'entry' | string;
  chosen: string[];
  slice: Slice;
  site: string;
  onChange: (ids: string[]) => void;
}) {
  const all = slice.by(table as 'entry', 'site', site);
  return (
    <fieldset className="wide">
      <legend>{title}</legend>
      <Button size="compact-md" variant="default" mr="sm" onClick={() => onChange(all.map(({ id }) => id))}>
        All
      </Button>
      <Button size="compact-md" variant="default" onClick={() => onChange([])}>
        None
      </Button>
      <div className="references">
        {all.map((record) => (
          <label key={record.id}>
            <input
              type="checkbox"
              checked={chosen.includes(record.id)}
              onChange={(event) =>
                onChange(
                  event.target.checked ? [...chosen, record.id] : chosen.filter((id) => id !== record.id),
                )
              }
            />{' '}
            {titleOf(slice, 'entry', record)}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

/** A record as it is called in a choice. */
export function titleOf(slice: Slice, table: string, record: Tables[keyof Tables]): string {
  if (table === 'entry') {
    const entry = record as Tables['entry'];
    return `${slice.get('enclosure', entry.enclosure)?.tag ?? '?'}, entry ${entry.label}`;
  }
  const { tag, number, name, id } = record as unknown as Record<string, string | undefined>;
  return tag ?? number ?? name ?? id ?? '';
}

function shown(field: Field, value: unknown, typed: string | undefined): string {
  if (value == null) return '';
  if (typed !== undefined && isSame(typed, value)) return typed;
  if (field.type === 'words') return (value as string[]).join(', ');
  if (field.type === 'date') return String(value).slice(0, 10);
  return String(value);
}

function parse(field: Field, text: string): { value: unknown } | { problem: string } {
  const nullable = 'nullable' in field && field.nullable;
  if (text.trim() === '' && nullable) return { value: null };
  if (field.type === 'words')
    return {
      value: text
        .split(',')
        .map((word) => word.trim())
        .filter(Boolean),
    };
  if (field.type === 'length') {
    const read = parseLength(text);
    return 'mm' in read ? { value: read.mm } : { problem: LENGTH_FAULT_WORDS[read.fault]! };
  }
  if (field.type === 'number') {
    const plain = text.trim().replace(',', '.').replace('−', '-');
    return /^-?\d+(\.\d+)?$/.test(plain)
      ? { value: Number(plain) }
      : { problem: 'type a number, for example 12.5.' };
  }
  return { value: text };
}

function get(value: Value, path: string): unknown {
  return path
    .split('.')
    .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], value);
}

function set(value: Value, path: string, next: unknown): Value {
  const [key, ...rest] = path.split('.') as [string, ...string[]];
  const copy = (Array.isArray(value) ? [...value] : { ...value }) as Record<string, unknown>;
  copy[key] = rest.length === 0 ? next : set((copy[key] ?? {}) as Value, rest.join('.'), next);
  return copy as Value;
}

/** Whether a typed length still says what the record holds. */
function isSame(typed: string, value: unknown): boolean {
  const read = parseLength(typed);
  return 'mm' in read && read.mm === value;
}

/** The record with its lengths as typed, where the text is more than the number and still says the same. */
function withTyped(record: Record<string, unknown>, typed: Record<string, string>): Record<string, unknown> {
  const kept = Object.entries(typed).filter(([path, text]) => {
    const value = get(record, path);
    return isSame(text, value) && text !== String(value);
  });
  const { typed: _old, ...rest } = record;
  return kept.length > 0 ? { ...rest, typed: Object.fromEntries(kept) } : rest;
}
