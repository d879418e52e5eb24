import { Button, Checkbox, Fieldset, Group } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { blankDraft, type Draft } from './draft';
import { get, type Field } from './fields';
import { useReach } from './form-context';
import { Input } from './RecordInput';

/** Fields of a record or of a part of it. */
export function Fields({ fields, path }: { fields: readonly Field[]; path: string }) {
  return fields.map((field) => <OneField key={field.path} field={field} full={path + field.path} />);
}

function OneField({ field, full }: { field: Field; full: string }) {
  if (field.type === 'list') return <ListField field={field} full={full} />;
  if (field.type === 'group') return <GroupField field={field} full={full} />;
  return <Leaf field={field} full={full} />;
}

/** One fact; a copied one says where it comes from until it is confirmed. */
function Leaf({ field, full }: { field: Field; full: string }) {
  const { form, proposed, confirm, sister } = useReach();
  const copied = proposed.has(full);
  const wide = field.type === 'references' || field.type === 'choices' || field.type === 'lines';
  return (
    <div
      className={`leaf${wide ? ' wide' : ''}${form.errors[full] ? ' invalid' : ''}`}
      data-path={full}
      data-proposed={copied || undefined}
    >
      <Input field={field} full={full} />
      {copied && (
        <Button variant="default" size="compact-sm" mt={4} onClick={() => confirm(full)}>
          {sister ? `Confirm as on ${sister}` : 'Confirm the copy'}
        </Button>
      )}
    </div>
  );
}

function GroupField({ field, full }: { field: Field & { type: 'group' }; full: string }) {
  const { form, change } = useReach();
  const current = get(form.getValues(), full);
  const isWord = field.word !== undefined && current === field.word.value;
  const open = current != null && !isWord;
  return (
    <Fieldset
      className={`wide${open ? '' : ' closed'}`}
      data-path={full}
      legend={
        field.nullable ? (
          <Checkbox
            size="md"
            label={field.title}
            checked={open}
            onChange={(event) => change(full, event.currentTarget.checked ? blankDraft(field) : null)}
          />
        ) : (
          field.title
        )
      }
    >
      {field.word && (
        <Checkbox
          size="md"
          label={field.word.title}
          checked={isWord}
          onChange={(event) => change(full, event.currentTarget.checked ? field.word!.value : null)}
        />
      )}
      {form.errors[full] && <p className="tone-failed">{form.errors[full]}</p>}
      {open && <Fields fields={field.fields} path={`${full}.`} />}
    </Fieldset>
  );
}

function ListField({ field, full }: { field: Field & { type: 'list' }; full: string }) {
  const { form, change } = useReach();
  const list = get(form.getValues(), full) as Draft[] | null;
  return (
    <Fieldset
      className="wide"
      data-path={full}
      legend={
        field.nullable ? (
          <Checkbox
            size="md"
            label={`${field.title}: recorded`}
            checked={list !== null}
            onChange={(event) => change(full, event.currentTarget.checked ? [] : null)}
          />
        ) : (
          field.title
        )
      }
    >
      <ListLines field={field} full={full} list={list} />
    </Fieldset>
  );
}

interface ListLinesProps {
  field: Field & { type: 'list' };
  full: string;
  list: readonly Draft[] | null;
}

function ListLines({ field, full, list }: ListLinesProps) {
  const { form, insert, takeOut } = useReach();
  const { root, typeIn } = useFreshLine();
  const put = (at: number, line: Draft, copied: boolean) => {
    insert(full, at, line, copied);
    typeIn(at);
  };
  return (
    <div className="wide" ref={root}>
      {form.errors[full] && <p className="tone-failed">{form.errors[full]}</p>}
      {list?.length === 0 && <p className="quiet">None.</p>}
      {list?.map((item, i) => (
        <div key={i} className="list-item">
          <Fields fields={field.fields} path={`${full}.${i}.`} />
          <Group className="wide">
            <Button
              size="compact-md"
              variant="default"
              onClick={() => put(i + 1, structuredClone(item), true)}
            >
              Copy
            </Button>
            <Button size="compact-md" variant="default" onClick={() => takeOut(full, i)}>
              Take out
            </Button>
          </Group>
        </div>
      ))}
      {list !== null && (
        <Button
          size="compact-md"
          variant="default"
          onClick={() => put(list.length, blankDraft(field), false)}
        >
          Add
        </Button>
      )}
    </div>
  );
}

/** A line that is new is typed on next: its first field has the focus once it stands there. */
function useFreshLine() {
  const [fresh, setFresh] = useState<{ line: number } | null>(null);
  const root = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (fresh === null) return;
    const lines = root.current?.querySelectorAll(':scope > .list-item');
    const first = lines?.[fresh.line]?.querySelector<HTMLElement>('input, select, textarea');
    first?.focus();
    if (first instanceof HTMLInputElement) first.select();
  }, [fresh]);
  return { root, typeIn: (line: number) => setFresh({ line }) };
}
