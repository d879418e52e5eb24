import { Button, Checkbox, Group, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { FieldProps } from './field-props';
import { get } from './fields';
import { useReach } from './form-context';
import { titleOf } from './record-title';

/** Most records that are listed at once; a search finds the others. */
const MOST_LISTED = 200;

/** A choice of several records, with a search. */
export function ReferencesInput({ field, full }: FieldProps<'references'>) {
  const { form, slice, site, change } = useReach();
  const [search, setSearch] = useState('');
  const chosen = get(form.getValues(), full) as string[];
  const all = slice.by(field.table, 'site', site).map((record) => ({ id: record.id, title: titleOf(slice, field.table, record) })); // prettier-ignore
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const found = all.filter(({ title }) => words.every((word) => title.toLowerCase().includes(word)));
  const set = (ids: Iterable<string>) => change(full, [...ids]);
  return (
    <fieldset className="bare">
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
        <Button variant="default" onClick={() => set(without(chosen, found))}>
          {words.length > 0 ? 'Leave out what was found' : 'None'}
        </Button>
      </Group>
      {found.length === 0 && <p className="quiet">Nothing matches. Clear the search.</p>}
      <Found found={found.slice(0, MOST_LISTED)} chosen={chosen} set={set} />
      {found.length > MOST_LISTED && (
        <p className="quiet">{found.length - MOST_LISTED} more. Search by enclosure or label to see them.</p>
      )}
      {form.errors[full] && <p className="tone-failed">{form.errors[full]}</p>}
    </fieldset>
  );
}

interface Titled {
  id: string;
  title: string;
}

function without(chosen: readonly string[], found: readonly Titled[]): string[] {
  const out = new Set(found.map(({ id }) => id));
  return chosen.filter((id) => !out.has(id));
}

interface FoundProps {
  found: readonly Titled[];
  chosen: readonly string[];
  set: (ids: Iterable<string>) => void;
}

function Found({ found, chosen, set }: FoundProps) {
  const picked = new Set(chosen);
  return (
    <div className="references">
      {found.map(({ id, title }) => (
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
  );
}
