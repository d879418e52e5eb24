import { Button, Group } from '@mantine/core';
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
import { startOf, type Open, type Start } from './opened';
import { RecordForm } from './RecordForm';
import { changed, keepInRegister, reasonOf } from './saving';
import type { SaveFault } from './use-record-form';

interface RecordPageProps extends ViewProps {
  table: DossierTable;
  open: Open;
  leave: Leave;
  onOpen: (open: Open | null) => void;
}

/** A record of the dossier with its form and its history. */
export default function RecordPage(props: RecordPageProps) {
  // What the form was opened on: somebody else's change meanwhile neither throws away what is typed nor is undone.
  const [start] = useState(() => startOf(props));
  if (start) return <Opened {...props} start={start} />;
  return (
    <p className="empty">
      This {FORMS[props.table].one} is not here any more.{' '}
      <Button variant="default" onClick={() => props.onOpen(null)}>
        Back to the list
      </Button>
    </p>
  );
}

function Opened({ start, ...props }: RecordPageProps & { start: Start }) {
  const { table, state, leave, onOpen } = props;
  const { slice, site } = state;
  const { fields } = FORMS[table];
  const id = String(start.record.id);
  const close = () => onOpen(null);
  return (
    <>
      <Group className="title" gap="sm" mb="sm">
        <h1 style={{ flex: 1 }}>{start.title}</h1>
        {!start.isNew && <RecordButtons {...props} id={id} />}
      </Group>
      <RecordForm
        table={table}
        fields={fields}
        value={start.record}
        sister={start.sister}
        refused={start.refused}
        slice={slice}
        site={site}
        onDirty={leave.onDirty}
        onSave={(value) => save(props, start, value)}
        onCancel={() => leave.then(close)}
      />
      {!start.isNew && (
        <History table={table} fields={fields} site={site} record={id} rev={slice.get(table, id)?.rev} />
      )}
    </>
  );
}

function RecordButtons({ table, state, leave, onOpen, id }: RecordPageProps & { id: string }) {
  const { one } = FORMS[table];
  return (
    <>
      {table === 'entry' && (
        <Button component="a" variant="default" href={`/bench/?entry=${id}&site=${state.site}`}>
          Open on the bench
        </Button>
      )}
      <Button variant="default" onClick={() => leave.then(() => onOpen({ as: 'copy', of: id }))}>
        Copy
      </Button>
      <Button
        variant="default"
        onClick={() => {
          if (give(`${table}.remove`, { id } as never, `The ${one} is removed.`)) onOpen(null);
        }}
      >
        Remove
      </Button>
    </>
  );
}

/** Keeps what a form says: a new record, what is changed of one, an instrument in the register. */
function save(
  { table, open, onOpen }: RecordPageProps,
  { record, isNew, refused }: Start,
  value: Record<string, unknown>,
): SaveFault | null | Promise<SaveFault | null> {
  const set = changed(record, value);
  const same = Object.keys(set).length === 0 && !refused;
  // After the form has let go of what was typed.
  const close = () => void setTimeout(() => onOpen(null));
  if (table === 'instrument' && !isNew && !refused && !same)
    return keepInRegister(own(value), registerIdOf(record as unknown as Tables['instrument'])).then(
      (fault) => {
        if (!fault) close();
        return fault;
      },
    );
  const given = isNew || !same ? keep(table, isNew ? value : { id: String(record.id), set }, isNew) : '';
  if (typeof given !== 'string') return reasonOf(given);
  if ('as' in open && open.as === 'refused') void device.drop(open.command);
  close();
  return null;
}

const keep = (table: DossierTable, payload: object, isNew: boolean) =>
  isNew
    ? tryGive(`${table}.add`, payload as never, `The ${FORMS[table].one} is added.`)
    : tryGive(`${table}.edit`, payload as never, `The ${FORMS[table].one} is changed.`);
