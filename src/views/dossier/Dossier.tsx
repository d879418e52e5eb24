import { NavLink } from '@mantine/core';
import '@mantine/core/styles/NavLink.layer.css';
import { useState } from 'react';
import type { DossierTable, Payloads } from '../../core/commands/commands';
import { useAddress } from '../hand/address';
import { device, parameter, useDevice } from '../hand/hand';
import { tryGive } from '../hand/give';
import { Root, type ViewProps } from '../frame/Root';
import './dossier.css';
import { blankSite, FORMS, SITE_FIELDS } from './forms';
import { ImportPanel } from '../frame/ImportPanel';
import { useLeave } from './leave';
import { RecordForm } from './RecordForm';
import { recordsOf, RecordTable } from './RecordTable';
import { reasonOf } from './saving';
import { SiteForm } from './SiteForm';

type Tab = DossierTable | 'site' | 'files';

/** The dossier: everything that is known of a site before anybody walks to it. */
export default function Dossier() {
  const state = useDevice();
  if (parameter('new') === 'site' && state.person) {
    return <Root view="dossier">{() => <NewSite />}</Root>;
  }
  return <Root view="dossier">{() => <DossierOf state={state as ViewProps['state']} />}</Root>;
}

function NewSite() {
  const { slice } = useDevice();
  const [id] = useState(() => device.id());
  return (
    <main id="main" className="dossier single">
      <h1>New site</h1>
      <RecordForm
        table="site"
        fields={SITE_FIELDS}
        value={blankSite(id)}
        slice={slice}
        site={id}
        onCancel={() => location.assign('/site/')}
        onSave={(value) => {
          const given = tryGive('site.add', value as unknown as Payloads['site.add'], '', id);
          if (typeof given !== 'string') return reasonOf(given);
          // The form is done with: leaving it does not ask.
          setTimeout(() => void device.flush().then(() => location.assign(`/dossier/?site=${id}`)));
          return null;
        }}
      />
    </main>
  );
}

function DossierOf({ state }: ViewProps) {
  const { slice, site } = state;
  const [address, follow] = useAddress('table', 'record', 'refused');
  const tab = tabOf(address.table);
  const leave = useLeave();
  const record = slice.get('site', site);
  if (!record)
    return (
      <main id="main" className="empty">
        This site is not on this device yet.
      </main>
    );
  const tabs: [Tab, string][] = [
    ['site', 'Site'],
    ...(Object.entries(FORMS).map(([table, { title }]) => [table, title]) as [Tab, string][]),
    ['files', 'Import'],
  ];
  return (
    <div className="dossier">
      <nav aria-label="Parts of the dossier">
        {tabs.map(([id, title]) => (
          <NavLink
            key={id}
            component="button"
            active={tab === id}
            aria-current={tab === id ? 'true' : undefined}
            label={title}
            rightSection={
              id !== 'site' &&
              id !== 'files' && <small className="figures">{recordsOf(slice, id, site).length}</small>
            }
            onClick={() => leave.then(() => follow({ table: id, record: null, refused: null }, 'replace'))}
          />
        ))}
        <NavLink href="/dossier/?new=site" label="New site" />
      </nav>
      <main id="main">
        {tab === 'site' && <SiteForm state={state} record={record} leave={leave} />}
        {tab === 'files' && <ImportPanel site={site} />}
        {tab !== 'site' && tab !== 'files' && (
          <RecordTable key={tab} table={tab} state={state} leave={leave} />
        )}
      </main>
      {leave.dialog}
    </div>
  );
}

const isTable = (name: string | null): name is DossierTable => name !== null && Object.hasOwn(FORMS, name);
const tabOf = (name: string | null): Tab =>
  isTable(name) || name === 'site' || name === 'files' ? name : 'area';
