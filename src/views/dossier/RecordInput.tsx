import { Button } from '@mantine/core';
import { useState } from 'react';
import { parseLength } from '../../core/quantity/length';
import type { Slice } from '../../core/record/slice';
import type { Tables } from '../../core/record/types';
import { SHIPPED } from '../../core/rulebook/references';
import { LENGTH_FAULT_WORDS } from '../../core/words/labels';
import type { Field } from './fields';
import { isSame } from './record-value';

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

/** One field of a record, by its type. */
export function Input({
  field,
  current,
  full,
  slice,
  site,
  onChange,
  onProblem,
  typed,
  onTyped,
}: InputProps) {
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

/** A choice of several records. */
export function References({
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
