import { useState } from 'react';
import type { Tables } from '../../core/record/types';
import { tryGive } from '../hand/give';
import type { ViewProps } from '../frame/Root';
import { SITE_FIELDS } from './forms';
import type { Leave } from './leave';
import { RecordForm } from './RecordForm';
import { changed, reasonOf } from './saving';

/** The site's own record: its limits and settings. */
export default function SiteForm({
  state,
  record,
  leave,
}: ViewProps & { record: Tables['site']; leave: Leave }) {
  // What the form was opened on: somebody else's change meanwhile neither throws away what is typed nor is undone.
  const [opened, setOpened] = useState(record);
  const [turn, setTurn] = useState(0);
  const anew = () => {
    setOpened(state.slice.get('site', record.id) ?? record);
    setTurn(turn + 1);
  };
  return (
    <>
      <h1>{record.name}</h1>
      <RecordForm
        key={turn}
        table="site"
        fields={SITE_FIELDS}
        value={opened}
        slice={state.slice}
        site={record.id}
        onDirty={leave.onDirty}
        onCancel={() => leave.then(anew)}
        onSave={(value) => {
          const set = changed(opened as unknown as Record<string, unknown>, value);
          if (Object.keys(set).length === 0) return null;
          const given = tryGive('site.edit', { id: record.id, set }, 'The site is changed.');
          if (typeof given !== 'string') return reasonOf(given);
          setOpened({ ...opened, ...set });
          return null;
        }}
      />
    </>
  );
}
