import { Group, NativeSelect, TextInput } from '@mantine/core';
import type { ReactNode } from 'react';
import type { Filter, List } from './use-list';

interface Props<R> {
  list: List<R>;
  /** What the search looks through, e.g. "Number, title or kind". */
  search: string;
  placeholder?: string;
  filters: readonly Filter[];
  children?: ReactNode;
}

/** Search and filters over a list. */
export const ListFilters = <R,>({ list, search, placeholder, filters, children }: Props<R>) => (
  <Group className="list-filters" gap="xs" align="end" pb={10}>
    <TextInput
      flex="2 1 180px"
      type="search"
      label={search}
      placeholder={placeholder}
      value={list.query.text}
      onChange={(event) => list.setText(event.target.value)}
    />
    {filters.map(({ id, label, options }) => (
      <NativeSelect
        flex="1 1 130px"
        key={id}
        label={label}
        value={list.query.only[id] ?? ''}
        data={options.map(([value, words]) => ({ value, label: words }))}
        onChange={(event) => list.setOnly(id, event.target.value)}
      />
    ))}
    {children}
  </Group>
);
