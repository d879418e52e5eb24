import { Button, TextInput, UnstyledButton } from '@mantine/core';
import { useState } from 'react';
import type { DossierTable } from '../../core/commands/commands';
import { currentInstruments } from '../../core/record/instruments';
import type { Slice } from '../../core/record/slice';
import type { Tables } from '../../core/record/types';
import type { ViewProps } from '../frame/Root';
import { FORMS } from './forms';
import { FromRegister } from './FromRegister';
import type { Leave } from './leave';
import { nameOf, openedAt, type Open } from './opened';
import { RecordPage } from './RecordPage';

/** One table of the dossier: its records, searched, and the one that is open. */
export function RecordTable({ table, state, leave }: ViewProps & { table: DossierTable; leave: Leave }) {
  const { slice, site } = state;
  const form = FORMS[table];
  const [text, setText] = useState('');
  const [open, setOpen] = useState<Open | null>(() => openedAt(table));
  const [lending, setLending] = useState(false);
  const records = recordsOf(slice, table, site);
  const name = (record: Tables[DossierTable]) => nameOf(slice, table, record);
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = records.filter((record) => {
    const said = `${name(record)} ${form.beside(record)}`.toLowerCase();
    return words.every((word) => said.includes(word));
  });
  if (open)
    return (
      <RecordPage
        key={JSON.stringify(open)}
        table={table}
        state={state}
        open={open}
        leave={leave}
        onOpen={setOpen}
      />
    );
  return (
    <>
      <div className="table-head">
        <h1>{form.title}</h1>
        <TextInput
          type="search"
          aria-label={`Search ${form.title.toLowerCase()}`}
          placeholder="Search"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        {table === 'instrument' && (
          <Button variant="default" onClick={() => setLending(true)}>
            From the register
          </Button>
        )}
        <Button onClick={() => setOpen({ as: 'new' })}>New {form.one}</Button>
      </div>
      {lending && <FromRegister slice={slice} site={site} onDone={() => setLending(false)} />}
      {records.length === 0 && <p className="empty">{form.empty}</p>}
      {records.length > 0 && shown.length === 0 && (
        <p className="empty">Nothing matches. Clear the search.</p>
      )}
      <ul className="records">
        {shown.map((record) => (
          <li key={record.id}>
            <UnstyledButton className="plain" onClick={() => setOpen({ id: record.id })}>
              <b>{name(record)}</b> <span className="quiet">{form.beside(record)}</span>
            </UnstyledButton>
          </li>
        ))}
      </ul>
    </>
  );
}

/** Records of a table as they are listed: of instruments the newest version of each. */
export const recordsOf = (slice: Slice, table: DossierTable, site: string) =>
  (table === 'instrument'
    ? currentInstruments(slice, site)
    : slice.by(table, 'site', site)) as (Tables[DossierTable] & Record<string, unknown>)[];
