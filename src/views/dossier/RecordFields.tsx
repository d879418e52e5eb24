import { Button } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import type { Slice } from '../../core/record/slice';
import type { Field } from './fields';
import { Input, References } from './RecordInput';
import { get, set, type Value } from './record-value';

interface FieldsProps {
  fields: readonly Field[];
  value: Value;
  path: string;
  slice: Slice;
  site: string;
  onChange: (value: Value) => void;
  onProblem: (path: string, text: string | null) => void;
  /** Forgets the problems of everything under a path. */
  onForget: (path: string) => void;
  /** Lengths as they were typed, by path. */
  typed: Readonly<Record<string, string>>;
  onTyped: (path: string, text: string) => void;
}

/** Fields of a record, lists and groups within. */
export function Fields(props: FieldsProps) {
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
  onForget,
}: FieldsProps & { field: Field }) {
  const current = get(value, field.path);
  const full = `${path}${field.path}`;
  const change = (next: unknown) => onChange(set(value, field.path, next));
  switch (field.type) {
    case 'list':
      return (
        <ListField
          field={field}
          current={current}
          full={full}
          change={change}
          rest={{ slice, site, onProblem, onForget, typed, onTyped }}
        />
      );
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
              onForget={onForget}
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

function ListField({
  field,
  current,
  full,
  change,
  rest,
}: {
  field: Extract<Field, { type: 'list' }>;
  current: unknown;
  full: string;
  change: (next: unknown) => void;
  rest: Pick<FieldsProps, 'slice' | 'site' | 'onProblem' | 'onForget' | 'typed' | 'onTyped'>;
}) {
  // What is typed belongs to its line: when lines move, every line starts from its record again.
  const [shape, setShape] = useState(0);
  // A line that is new is typed on next.
  const [fresh, setFresh] = useState<number | null>(null);
  const root = useRef<HTMLFieldSetElement>(null);
  useEffect(() => {
    if (fresh === null) return;
    const lines = root.current?.querySelectorAll(':scope > .list-item');
    const field = lines?.[fresh]?.querySelector<HTMLElement>('input, select');
    field?.focus();
    if (field instanceof HTMLInputElement) field.select();
  }, [shape, fresh]);
  const list = (current ?? []) as Value[];
  const reshape = (next: unknown[], line: number | null = null) => {
    setFresh(line);
    rest.onForget(`${full}.`);
    setShape(shape + 1);
    change(next);
  };
  return (
    <fieldset className="wide" ref={root}>
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
        <div key={`${shape} ${i}`} className="list-item">
          <Fields
            fields={field.fields}
            value={item}
            path={`${full}.${i}.`}
            {...rest}
            onChange={(next) => change(list.map((old, j) => (j === i ? next : old)))}
          />
          <span className="list-buttons">
            <Button
              size="compact-md"
              variant="default"
              onClick={() =>
                reshape([...list.slice(0, i + 1), structuredClone(item), ...list.slice(i + 1)], i + 1)
              }
            >
              Copy
            </Button>
            <Button
              size="compact-md"
              variant="default"
              onClick={() => reshape(list.filter((_, j) => j !== i))}
            >
              Take out
            </Button>
          </span>
        </div>
      ))}
      {current != null && (
        <Button
          size="compact-md"
          variant="default"
          onClick={() => reshape([...list, field.blank()], list.length)}
        >
          Add
        </Button>
      )}
    </fieldset>
  );
}
