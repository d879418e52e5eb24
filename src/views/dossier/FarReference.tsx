import { Select } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import '@mantine/core/styles/Combobox.layer.css';
import '@mantine/core/styles/Popover.layer.css';
import { lists } from '../../client/lists';
import type { Id } from '../../core/record/types';
import { device } from '../hand/hand';
import { useAsked } from '../hand/use-asked';
import { scopeFor } from './far';
import { NOT_RECORDED } from './field-props';
import { titleOf } from './record-title';

interface FarReferenceProps {
  table: 'enclosure' | 'cable';
  site: Id;
  label: string;
  value: Id;
  error?: ReactNode;
  onChange: (id: Id) => void;
}

/** Records that are offered at once; what is typed narrows them down. */
const MOST_SHOWN = 30;
/** What stands in the list for no record: no id is so short. */
const NONE = '-';

/** A choice of one record of a large site, found by typing; what is chosen comes along. */
export default function FarReference({ table, site, value, onChange, error, ...rest }: FarReferenceProps) {
  const [typed, setTyped] = useState('');
  const [fetching, setFetching] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { slice } = device.state();
  const own = value === '' ? null : slice.get(table, value);
  const chosen = own && { value: own.id, label: titleOf(slice, table, own) };
  const shown = chosen?.label ?? NOT_RECORDED.label;
  const q = typed === shown ? '' : typed;
  const { answer, problem: away } = useAsked((signal) => lists.named(site, table, { q, limit: MOST_SHOWN }, signal), `${table} ${q}`);
  const here = slice.by(table, 'site', site);
  const found = (away === null ? (answer?.rows ?? []) : here.slice(0, MOST_SHOWN)).map((one) => ({ value: one.id, label: titleOf(slice, table, one) }));
  const take = (id: Id) => {
    setProblem(null);
    if (slice.get(table, id)) return onChange(id);
    setFetching(found.find((one) => one.value === id)?.label ?? '');
    device.along
      .take(scopeFor(table, id))
      .then(() => onChange(id))
      .catch((reason: Error) => setProblem(reason.message))
      .finally(() => setFetching(null));
  };
  return (
    <Select
      {...rest}
      size="md"
      mb="xs"
      searchable
      error={error ?? problem}
      description={fetching === null ? (away && 'Away from the server: what is on this device.') : `Fetching ${fetching} …`}
      inputWrapperOrder={['label', 'input', 'description', 'error']}
      // What stands there is a choice, no search: the first letter replaces it.
      onClick={({ currentTarget: field }) => field.value === shown && field.select()}
      onFocus={({ currentTarget: field }) => field.select()}
      allowDeselect={false}
      nothingFoundMessage="Nothing matches"
      // The server has looked already; what is chosen is among them.
      filter={({ options }) => options}
      data={[{ value: NONE, label: NOT_RECORDED.label }, ...(chosen && !found.some((one) => one.value === chosen.value) ? [chosen] : []), ...found]}
      value={value === '' ? NONE : value}
      onSearchChange={setTyped}
      onChange={(id) => (id === null || id === NONE ? onChange('') : take(id))}
      comboboxProps={{ withinPortal: true, transitionProps: { duration: 0 } }}
    />
  );
} // prettier-ignore
