import { Checkbox, Group, NativeSelect, Textarea, TextInput } from '@mantine/core';
import type { ComponentType } from 'react';
import { readConcepts } from '../../core/hazard/concept';
import { SHIPPED } from '../../core/rulebook/references';
import { fetched } from '../../ui/fetched';
import { Later } from '../../ui/Later';
import { MeasureInput } from '../../ui/MeasureInput';
import type { Lines } from './draft';
import { NOT_RECORDED, useInput, type FieldProps } from './field-props';
import { get, type Field } from './fields';
import { device } from '../hand/hand';
import { useReach } from './form-context';
import { titleOf } from './record-title';
import { ReferencesInput } from './ReferencesInput';

/** The input of one field, by its type. */
export function Input({ field, full }: FieldProps) {
  const One = INPUTS[field.type as keyof typeof INPUTS] as ComponentType<FieldProps>;
  return <One field={field} full={full} />;
}

const FarReference = fetched(() => import('./FarReference'));
const RecordSelect = fetched(() => import('../../ui/RecordSelect'));

/** Most choices that are offered by the device's own list; of more, one is found by typing. Chosen: two screens of a phone. */
const MOST_NATIVE = 40;

/** Types of a field that holds others. */
type Holding = 'list' | 'group';

const INPUTS: { [T in Exclude<Field['type'], Holding>]: ComponentType<FieldProps<T>> } = {
  measure: Measure,
  select: ({ field, full }) => (
    <Choice
      field={field}
      full={full}
      options={field.options.map((option) => ({
        value: String(option),
        label: field.words?.[option] ?? String(option),
      }))}
    />
  ),
  ternary: (props) => <Choice {...props} options={YES_NO} />,
  reference: Reference,
  size: Size,
  'reference-set': ReferenceSet,
  choices: Choices,
  references: ReferencesInput,
  lines: LinesInput,
  concepts: Concepts,
  text: (props) => <Text {...props} placeholder="not recorded" />,
  names: (props) => <Text {...props} placeholder="not recorded" />,
  'free-text': Text,
  date: (props) => <Text {...props} type="date" />,
};

const YES_NO = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
];

function Measure(props: FieldProps<'measure'>) {
  const { set, left, ...input } = useInput(props);
  const { quantity, unit } = props.field;
  return <MeasureInput quantity={quantity} unit={unit} placeholder="not recorded" {...input} onText={set} onBlur={left} />; // prettier-ignore
}

function Choice({ options, ...props }: FieldProps & { options: { value: string; label: string }[] }) {
  const { set, left: _, ...input } = useInput(props);
  if (options.length > MOST_NATIVE)
    return (
      <Later>
        <RecordSelect {...input} none={NOT_RECORDED.label} records={options} onChange={set} />
      </Later>
    );
  return <NativeSelect {...input} data={[NOT_RECORDED, ...options]} onChange={(event) => set(event.currentTarget.value)} />; // prettier-ignore
}

function Reference(props: FieldProps<'reference'>) {
  const { slice, site } = useReach();
  const { table } = props.field;
  if (device.along.part !== null && (table === 'enclosure' || table === 'cable')) return <Far {...props} table={table} />; // prettier-ignore
  const records = slice.by(table, 'site', site);
  return <Choice {...props} options={records.map((record) => ({ value: record.id, label: titleOf(slice, table, record) }))} />; // prettier-ignore
}

function Far({ table, ...props }: FieldProps<'reference'> & { table: 'enclosure' | 'cable' }) {
  const { site } = useReach();
  const { set, left: _, ...input } = useInput(props);
  return (
    <Later>
      <FarReference {...input} table={table} site={site} onChange={set} />
    </Later>
  );
}

function ReferenceSet(props: FieldProps<'reference-set'>) {
  const { slice, site } = useReach();
  const { set, left: _, ...input } = useInput(props);
  const sets = [...SHIPPED, ...slice.by('reference', 'site', site)];
  return (
    <NativeSelect
      {...input}
      data={sets.map(({ id, title }) => ({ value: id, label: title }))}
      onChange={(event) => set(event.currentTarget.value)}
    />
  );
}

function Choices(props: FieldProps<'choices'>) {
  const { set, left: _, ...input } = useInput<string[]>(props);
  return (
    <Checkbox.Group size="md" {...input} onChange={set}>
      <Group gap="sm">
        {props.field.options.map((option) => (
          <Checkbox key={option} size="md" value={option} label={option} />
        ))}
      </Group>
    </Checkbox.Group>
  );
}

function Text({ type, placeholder, ...props }: FieldProps & { type?: string; placeholder?: string }) {
  const { set, left, ...input } = useInput(props);
  return <TextInput type={type} placeholder={placeholder} {...input} onChange={(event) => set(event.currentTarget.value)} onBlur={left} />; // prettier-ignore
}

function Concepts(props: FieldProps<'concepts'>) {
  const { set, left, ...input } = useInput(props);
  const read = readConcepts(input.value);
  const understood = 'concepts' in read && read.concepts.length > 0 && read.concepts.join(', ') !== input.value; // prettier-ignore
  return (
    <TextInput
      {...input}
      placeholder="not recorded"
      description={understood ? `= ${read.concepts.join(', ')}` : undefined}
      inputWrapperOrder={['label', 'input', 'description', 'error']}
      onChange={(event) => set(event.currentTarget.value)}
      onBlur={left}
    />
  );
}

/** A size out of the list of the certificate that the same record names; one that is on file and not listed stays. */
function Size(props: FieldProps<'size'>) {
  const { form, slice } = useReach();
  const { set, left: _, ...input } = useInput(props);
  const at = props.full.slice(0, props.full.length - props.field.path.length);
  const certificate = slice.get('certificate', (get(form.getValues(), at + props.field.certificate) ?? '') as string); // prettier-ignore
  const listed = (certificate?.sheet.sizes ?? []).map(({ size }) => size);
  const { value } = input;
  const unknown = value !== '' && !listed.includes(value);
  return (
    <NativeSelect
      {...input}
      disabled={!certificate && value === ''}
      description={certificate ? undefined : 'Choose the certificate first; its sheet lists the sizes.'}
      inputWrapperOrder={['label', 'input', 'description', 'error']}
      data={[
        NOT_RECORDED,
        ...listed.map((size) => ({ value: size, label: size })),
        ...(unknown ? [{ value, label: `${value}, which the certificate does not list` }] : []),
      ]}
      onChange={(event) => set(event.currentTarget.value)}
    />
  );
}

function LinesInput(props: FieldProps<'lines'>) {
  const { set, left, value, ...input } = useInput<Lines>(props);
  const { none, text } = value;
  return (
    <>
      <Textarea
        {...input}
        autosize
        minRows={2}
        value={text}
        disabled={none}
        placeholder="not recorded"
        onChange={(event) => set({ none: false, text: event.currentTarget.value })}
        onBlur={left}
      />
      {text.trim() === '' && (
        <Checkbox
          size="md"
          mt="xs"
          label={props.field.none}
          checked={none}
          onChange={(event) => set({ none: event.currentTarget.checked, text })}
        />
      )}
    </>
  );
}
