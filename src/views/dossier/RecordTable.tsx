import { fetched } from '../../ui/fetched';
import { Button, Group } from '@mantine/core';
import { useState } from 'react';
import type { DossierTable } from '../../core/commands/commands';
import { currentInstruments } from '../../core/record/instruments';
import type { Slice } from '../../core/record/slice';
import type { Tables } from '../../core/record/types';
import type { ViewProps } from '../frame/Root';
import { Later } from '../../ui/Later';
import { ListTable } from '../../ui/list/ListTable';
import { listed, naturally } from '../../ui/list/source';
import { FORMS } from './forms';
import type { Leave } from './leave';
import { nameOf, type Open } from './opened';

// A form comes with the first record that is opened.
const RecordPage = fetched(() => import('./RecordPage'));
const FromRegister = fetched(() => import('./FromRegister'));

interface RecordTableProps extends ViewProps {
  table: DossierTable;
  open: Open | null;
  leave: Leave;
  onOpen: (open: Open | null) => void;
}

/** One table of the dossier: its records, searched, or the one that is open. */
export function RecordTable(props: RecordTableProps) {
  const { table, state, open, onOpen } = props;
  const { slice, site } = state;
  const form = FORMS[table];
  const [lending, setLending] = useState(false);
  if (open)
    return (
      <Later>
        <RecordPage key={JSON.stringify(open)} {...props} open={open} />
      </Later>
    );
  return (
    <>
      <Group className="title" gap="sm" mb="sm">
        <h1 style={{ flex: 1 }}>{form.title}</h1>
        {table === 'instrument' && (
          <Button variant="default" onClick={() => setLending(true)}>
            From the register
          </Button>
        )}
        <Button onClick={() => onOpen({ as: 'new' })}>New {form.one}</Button>
      </Group>
      <Later>{lending && <FromRegister slice={slice} site={site} onDone={() => setLending(false)} />}</Later>
      <Records {...props} />
    </>
  );
}

function Records({ table, state: { slice, site }, onOpen }: RecordTableProps) {
  const form = FORMS[table];
  const name = (record: Tables[DossierTable]) => nameOf(slice, table, record);
  const source = listed(recordsOf(slice, table, site), {
    key: ({ id }) => id,
    words: (record) => `${name(record)} ${form.beside(record)}`,
    sorts: {
      name: (a, b) => naturally(name(a), name(b)),
      beside: (a, b) => naturally(form.beside(a), form.beside(b)),
    },
  });
  return (
    <ListTable
      className="records"
      label={form.title}
      source={source}
      search={`Search ${form.title.toLowerCase()}`}
      columns={[
        { id: 'name', title: 'Name', sorts: true, cell: (record) => <b>{name(record)}</b> },
        { id: 'beside', title: 'What it is', sorts: true, cell: (record) => form.beside(record) },
      ]}
      keyOf={({ id }) => id}
      onOpen={(id) => onOpen({ id })}
      empty={<p className="empty">{form.empty}</p>}
    />
  );
}

/** Records of a table as they are listed: of instruments the newest version of each. */
export const recordsOf = (slice: Slice, table: DossierTable, site: string) =>
  (table === 'instrument'
    ? currentInstruments(slice, site)
    : slice.by(table, 'site', site)) as (Tables[DossierTable] & Record<string, unknown>)[];
