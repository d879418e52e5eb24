import { Select } from '@mantine/core';
import type { ReactNode } from 'react';
import '@mantine/core/styles/Combobox.layer.css';
import '@mantine/core/styles/Popover.layer.css';

interface RecordSelectProps {
  label: string;
  /** Id of the record that is chosen; empty for none. */
  value: string;
  /** What stands where none is chosen. */
  none: string;
  records: readonly { value: string; label: string }[];
  error?: ReactNode;
  /** Said under the field. */
  description?: ReactNode;
  /** Hears what is typed, where the records are what somebody else has found for it; empty for nothing. */
  onSearch?: (text: string) => void;
  onChange: (id: string) => void;
}

/** Most records that the list shows at once; what is typed narrows it down. */
const MOST_SHOWN = 50;

/** What stands in the list for no record: no id is so short. */
const NONE = '-';

/** A choice of one record out of many, found by typing a part of its name. */
export default function RecordSelect({
  value,
  none,
  records,
  onChange,
  onSearch,
  ...rest
}: RecordSelectProps) {
  const shown = () => records.find((one) => one.value === value)?.label ?? none;
  const typedIn = (text: string) => (text === shown() ? '' : text);
  return (
    <Select
      {...rest}
      size="md"
      mb="xs"
      searchable
      selectFirstOptionOnChange
      // What stands there is a choice, no search: the first letter replaces it.
      onClick={({ currentTarget: field }) => field.value === shown() && field.select()}
      onFocus={({ currentTarget: field }) => field.select()}
      allowDeselect={false}
      limit={MOST_SHOWN}
      inputWrapperOrder={['label', 'input', 'description', 'error']}
      onSearchChange={onSearch && ((text) => onSearch(typedIn(text)))}
      // Who searches elsewhere has looked already; only no record is none that was looked for.
      filter={onSearch && (({ options, search }) => (typedIn(search) === '' ? options : options.slice(1)))}
      nothingFoundMessage="Nothing matches"
      data={[{ value: NONE, label: none }, ...records]}
      value={value === '' ? NONE : value}
      onChange={(id) => onChange(id === null || id === NONE ? '' : id)}
      comboboxProps={{ withinPortal: true, transitionProps: { duration: 0 } }}
    />
  );
}
