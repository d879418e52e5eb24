import { Button } from '@mantine/core';
import { useState } from 'react';
import type { DossierTable } from '../../core/commands/commands';
import { registerIdOf } from '../../core/record/instruments';
import type { Tables } from '../../core/record/types';
import { device } from '../hand/hand';
import { give, tryGive } from '../hand/give';
import type { ViewProps } from '../frame/Root';
import { own } from './draft';
import { FORMS } from './forms';
import { History } from './History';
import type { Leave } from './leave';
import { startOf, type Open } from './opened';
import { RecordForm } from './RecordForm';
import { changed, keepInRegister, reasonOf } from './saving';

interface RecordPageProps extends ViewProps {
  table: DossierTable;
  open: Open;
  leave: Leave;
  onOpen: (open: Open | null) => void;
}

/** A record of the dossier with its form and its history. */
export function RecordPage(props: RecordPageProps) {
  const { table, state, open, leave, onOpen } = props;
  const { slice, site } = state;
  const form = FORMS[table];
  // What the form was opened on: somebody else's change meanwhile neither throws away what is typed nor is undone.
  const [start] = useState(() => startOf(props));
  if (!start)
    return (
      <p className="empty">
        This {form.one} is not here any more.{' '}
        <Button variant="default" onClick={() => onOpen(null)}>
          Back to the list
        </Button>
      </p>
    );
  const { record, isNew, title } = start;
  const id = String(record.id);
  const close = () => onOpen(null);
  const save = (value: Record<string, unknown>) => {
    const set = changed(record, value);
    if (table === 'instrument' && !isNew && !start.refused && Object.keys(set).length > 0)
      return keepInRegister(own(value), registerIdOf(record as unknown as Tables['instrument'])).then(
        (fault) => {
          if (!fault) setTimeout(close);
          return fault;
        },
      );
    const given = isNew
      ? tryGive(`${table}.add`, value as never, `The ${form.one} is added.`)
      : Object.keys(set).length === 0 && !start.refused
        ? ''
        : tryGive(`${table}.edit`, { id, set } as never, `The ${form.one} is changed.`);
    if (typeof given !== 'string') return reasonOf(given);
    if ('as' in open && open.as === 'refused') void device.drop(open.command);
    // After the form has let go of what was typed.
    setTimeout(close);
    return null;
  };
  return (
    <>
      <div className="table-head">
        <h1>{title}</h1>
        {!isNew && table === 'entry' && (
          <Button component="a" variant="default" href={`/bench/?entry=${id}&site=${site}`}>
            Open on the bench
          </Button>
        )}
        {!isNew && (
          <>
            <Button variant="default" onClick={() => leave.then(() => onOpen({ as: 'copy', of: id }))}>
              Copy
            </Button>
            <Button
              variant="default"
              onClick={() => {
                if (give(`${table}.remove`, { id } as never, `The ${form.one} is removed.`)) close();
              }}
            >
              Remove
            </Button>
          </>
        )}
      </div>
      <RecordForm
        table={table}
        fields={form.fields}
        value={record}
        sister={start.sister}
        refused={start.refused}
        slice={slice}
        site={site}
        onDirty={leave.onDirty}
        onSave={save}
        onCancel={() => leave.then(close)}
      />
      {!isNew && (
        <History table={table} fields={form.fields} site={site} record={id} rev={slice.get(table, id)?.rev} />
      )}
    </>
  );
}
