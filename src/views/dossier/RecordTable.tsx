import { fetched } from '../../ui/fetched';
import { Button, Group } from '@mantine/core';
import { useState } from 'react';
import type { DossierTable } from '../../core/commands/commands';
import { currentInstruments } from '../../core/record/instruments';
import type { Slice } from '../../core/record/slice';
import type { Id, Tables } from '../../core/record/types';
import type { ViewProps } from '../frame/Root';
import { Later } from '../../ui/Later';
import { ListTable } from '../../ui/list/ListTable';
import { listed, naturally } from '../../ui/list/source';
import { FORMS } from './forms';
import { isFar, scopeFor } from './far';
import { device } from '../hand/hand';
import type { Leave } from './leave';
import { nameOf, type Open } from './opened';

// A form comes with the first record that is opened.
const RecordPage = fetched(() => import('./RecordPage'));
const FarRecords = fetched(() => import('./FarRecords'));
const NotHere = fetched(() => import('../frame/NotHere'));
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
  const { slice, site, part } = state;
  const form = FORMS[table];
  const [lending, setLending] = useState(false);
  const wanted = part && isFar(table) && missing(props) ? missing(props) : null;
  if (wanted && isFar(table))
    return (
      <Later>
        <NotHere
          key={wanted}
          site={site}
          what={form.one}
          more={scopeFor(table, wanted)}
          isHere={() => isHere(table, wanted)}
        />
      </Later>
    );
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
      {part && isFar(table) ? (
        <Later>
          <FarRecords key={table} table={table} site={site} version={state.version} onOpen={(id) => onOpen({ id })} near={<Records {...props} />} />
        </Later>
      ) : (
        <Records {...props} />
      )}
    </>
  ); // prettier-ignore
}

/** The record that is to be opened and is not on this device; null where nothing is missing. */
function missing({ table, open }: RecordTableProps): Id | null {
  if (open === null || ('as' in open && open.as !== 'copy')) return null;
  const id = 'id' in open ? open.id : open.of;
  return isHere(table, id) ? null : id;
}

const isHere = (table: DossierTable, id: Id): boolean =>
  table === 'entry' ? device.along.isHere(id) : device.state().slice.get(table, id) !== null;

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
