import { Button } from '@mantine/core';
import { useState } from 'react';
import type { Slice } from '../../core/record/slice';
import type { Field } from './fields';
import { Fields } from './RecordFields';
import { get, withTyped, type Value } from './record-value';

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
  const forget = (path: string) =>
    setProblems((all) => Object.fromEntries(Object.entries(all).filter(([key]) => !key.startsWith(path))));
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
        onForget={forget}
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
