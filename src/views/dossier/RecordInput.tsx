import { Button, Checkbox, Group, NativeSelect, Textarea, TextInput } from '@mantine/core';
import { useState } from 'react';
import { readConcepts } from '../../core/hazard/concept';
import type { Slice } from '../../core/record/slice';
import type { Tables } from '../../core/record/types';
import { SHIPPED } from '../../core/rulebook/references';
import { MeasureInput } from '../../ui/MeasureInput';
import type { Lines } from './draft';
import { get, type Field } from './fields';
import { useReach } from './form-context';

const NOT_RECORDED = { value: '', label: 'not recorded' };

/** The input of one field, by its type. */
export function Input({ field, full }: { field: Field; full: string }) {
  const { form, slice, site, change, left } = useReach();
  const value = get(form.getValues(), full);
  const text = (value ?? '') as string;
  const error = form.errors[full];
  const label = field.hint ? `${field.title} (${field.hint})` : field.title;
  const select = (options: { value: string; label: string }[]) => (
    <NativeSelect
      label={label}
      value={text}
      error={error}
      data={[NOT_RECORDED, ...options]}
      onChange={(event) => change(full, event.currentTarget.value)}
    />
  );
  switch (field.type) {
    case 'measure':
      return (
        <MeasureInput
          quantity={field.quantity}
          unit={field.unit}
          label={label}
          value={text}
          error={error}
          placeholder="not recorded"
          onText={(next) => change(full, next)}
          onBlur={() => left(full)}
        />
      );
    case 'select':
      return select(field.options.map((option) => ({ value: String(option), label: field.words?.[option] ?? String(option) }))); // prettier-ignore
    case 'ternary':
      return select([
        { value: 'yes', label: 'yes' },
        { value: 'no', label: 'no' },
      ]);
    case 'reference':
      return select(
        slice
          .by(field.table, 'site', site)
          .map((record) => ({ value: record.id, label: titleOf(slice, field.table, record) })),
      );
    case 'size':
      return <SizeSelect field={field} full={full} label={label} />;
    case 'reference-set':
      return (
        <NativeSelect
          label={label}
          value={text}
          error={error}
          data={[...SHIPPED, ...slice.by('reference', 'site', site)].map(({ id, title }) => ({
            value: id,
            label: title,
          }))}
          onChange={(event) => change(full, event.currentTarget.value)}
        />
      );
    case 'choices':
      return (
        <Checkbox.Group
          size="md"
          label={label}
          error={error}
          value={value as string[]}
          onChange={(next) => change(full, next)}
        >
          <Group gap="sm">
            {field.options.map((option) => (
              <Checkbox key={option} size="md" value={option} label={option} />
            ))}
          </Group>
        </Checkbox.Group>
      );
    case 'references':
      return <References field={field} full={full} />;
    case 'lines':
      return <LinesInput field={field} full={full} label={label} />;
    case 'concepts': {
      const read = readConcepts(text);
      const understood = 'concepts' in read && read.concepts.length > 0 && read.concepts.join(', ') !== text;
      return (
        <TextInput
          label={label}
          value={text}
          error={error}
          placeholder="not recorded"
          description={understood ? `= ${read.concepts.join(', ')}` : undefined}
          inputWrapperOrder={['label', 'input', 'description', 'error']}
          onChange={(event) => change(full, event.currentTarget.value)}
          onBlur={() => left(full)}
        />
      );
    }
    default:
      return (
        <TextInput
          type={field.type === 'date' ? 'date' : 'text'}
          label={label}
          value={text}
          error={error}
          placeholder={field.type === 'free-text' ? undefined : 'not recorded'}
          onChange={(event) => change(full, event.currentTarget.value)}
          onBlur={() => left(full)}
        />
      );
  }
}

/** A size out of the list of the certificate that the same record names; one that is on file and not listed stays. */
function SizeSelect({
  field,
  full,
  label,
}: {
  field: Field & { type: 'size' };
  full: string;
  label: string;
}) {
  const { form, slice, change } = useReach();
  const value = (get(form.getValues(), full) ?? '') as string;
  const at = full.slice(0, full.length - field.path.length);
  const certificate = slice.get(
    'certificate',
    (get(form.getValues(), at + field.certificate) ?? '') as string,
  );
  const listed = (certificate?.sheet.sizes ?? []).map(({ size }) => size);
  const unknown = value !== '' && !listed.includes(value);
  return (
    <NativeSelect
      label={label}
      value={value}
      error={form.errors[full]}
      disabled={!certificate && value === ''}
      description={certificate ? undefined : 'Choose the certificate first; its sheet lists the sizes.'}
      inputWrapperOrder={['label', 'input', 'description', 'error']}
      data={[
        NOT_RECORDED,
        ...listed.map((size) => ({ value: size, label: size })),
        ...(unknown ? [{ value, label: `${value}, which the certificate does not list` }] : []),
      ]}
      onChange={(event) => change(full, event.currentTarget.value)}
    />
  );
}

function LinesInput({
  field,
  full,
  label,
}: {
  field: Field & { type: 'lines' };
  full: string;
  label: string;
}) {
  const { form, change, left } = useReach();
  const { none, text } = get(form.getValues(), full) as Lines;
  return (
    <>
      <Textarea
        label={label}
        autosize
        minRows={2}
        value={text}
        error={form.errors[full]}
        disabled={none}
        placeholder="not recorded"
        onChange={(event) => change(full, { none: false, text: event.currentTarget.value })}
        onBlur={() => left(full)}
      />
      {text.trim() === '' && (
        <Checkbox
          size="md"
          mt="xs"
          label={field.none}
          checked={none}
          onChange={(event) => change(full, { none: event.currentTarget.checked, text })}
        />
      )}
    </>
  );
}

/** Most records that are listed at once; a search finds the others. */
const MOST_LISTED = 200;

/** A choice of several records, with a search. */
function References({ field, full }: { field: Field & { type: 'references' }; full: string }) {
  const { form, slice, site, change } = useReach();
  const [search, setSearch] = useState('');
  const chosen = get(form.getValues(), full) as string[];
  const all = slice.by(field.table, 'site', site).map((record) => ({ id: record.id, title: titleOf(slice, field.table, record) })); // prettier-ignore
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const found = all.filter(({ title }) => words.every((word) => title.toLowerCase().includes(word)));
  const picked = new Set(chosen);
  const set = (ids: Iterable<string>) => change(full, [...ids]);
  return (
    <fieldset className="references-field">
      <legend>
        {field.title}: {chosen.length} of {all.length} chosen
      </legend>
      <Group mb="xs">
        <TextInput
          type="search"
          aria-label={`Search ${field.title.toLowerCase()}`}
          placeholder="Search"
          value={search}
          onChange={(event) => setSearch(event.currentTarget.value)}
        />
        <Button variant="default" onClick={() => set(new Set([...chosen, ...found.map(({ id }) => id)]))}>
          {words.length > 0 ? 'Choose what was found' : 'All'}
        </Button>
        <Button
          variant="default"
          onClick={() => {
            const out = new Set(found.map(({ id }) => id));
            set(chosen.filter((id) => !out.has(id)));
          }}
        >
          {words.length > 0 ? 'Leave out what was found' : 'None'}
        </Button>
      </Group>
      {found.length === 0 && <p className="quiet">Nothing matches. Clear the search.</p>}
      <div className="references">
        {found.slice(0, MOST_LISTED).map(({ id, title }) => (
          <Checkbox
            key={id}
            size="md"
            label={title}
            checked={picked.has(id)}
            onChange={(event) =>
              set(event.currentTarget.checked ? [...chosen, id] : chosen.filter((one) => one !== id))
            }
          />
        ))}
      </div>
      {found.length > MOST_LISTED && (
        <p className="quiet">{found.length - MOST_LISTED} more. Search by enclosure or label to see them.</p>
      )}
      {form.errors[full] && <p className="tone-failed">{form.errors[full]}</p>}
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
