import { fetched } from '../../ui/fetched';
import { NavLink } from '@mantine/core';
import '@mantine/core/styles/NavLink.layer.css';

import type { DossierTable } from '../../core/commands/commands';
import type { Id } from '../../core/record/types';
import { useAddress } from '../hand/address';
import { parameter, useDevice } from '../hand/hand';
import { Root, type ViewProps } from '../frame/Root';
import './dossier.css';
import { Later } from '../../ui/Later';
import { isFar } from './far';
import { FORMS } from './forms';
import { useLeave } from './leave';
import { addressOf, OPENED, openedAt } from './opened';
import { recordsOf, RecordTable } from './RecordTable';

const ImportPanel = fetched(() => import('../frame/ImportPanel'));
const CableEnds = fetched(() => import('./CableEnds'));
const SheetsImport = fetched(() => import('./SheetsImport'));
const NewSite = fetched(() => import('./NewSite'));
const SiteForm = fetched(() => import('./SiteForm'));

type Tab = DossierTable | 'site' | 'files';

const TABS: readonly (readonly [Tab, string])[] = [
  ['site', 'Site'],
  ...(Object.entries(FORMS).map(([table, { title }]) => [table, title]) as [Tab, string][]),
  ['files', 'Import'],
];

/** The dossier: everything that is known of a site before anybody walks to it. */
export default function Dossier() {
  const state = useDevice();
  if (parameter('new') === 'site' && state.person) {
    return (
      <Root view="dossier" siteless>
        {() => (
          <Later>
            <NewSite />
          </Later>
        )}
      </Root>
    );
  }
  return <Root view="dossier">{() => <DossierOf state={state as ViewProps['state']} />}</Root>;
}

function DossierOf({ state }: ViewProps) {
  const { slice, site } = state;
  // Before the address: who asks hears of Back first.
  const leave = useLeave();
  const [address, follow] = useAddress('table', ...OPENED);
  const tab = tabOf(address.table);
  const record = slice.get('site', site);
  if (!record)
    return (
      <main id="main" className="empty">
        This site is not on this device yet.
      </main>
    );
  return (
    <div className="split dossier">
      <nav className="beside" aria-label="Parts of the dossier">
        {TABS.map(([id, title]) => (
          <NavLink
            key={id}
            component="button"
            active={tab === id}
            aria-current={tab === id ? 'true' : undefined}
            label={title}
            rightSection={
              id !== 'site' &&
              id !== 'files' &&
              !(state.part && isFar(id)) && (
                <small className="figures">{recordsOf(slice, id, site).length}</small>
              )
            }
            onClick={() => leave.then(() => follow({ table: id, ...addressOf(null) }))}
          />
        ))}
        <NavLink href="/dossier/?new=site" label="New site" />
      </nav>
      <main id="main" tabIndex={-1}>
        <Later>
          {tab === 'site' && <SiteForm state={state} record={record} leave={leave} />}
          {tab === 'files' && <Files site={site} />}
        </Later>
        {tab !== 'site' && tab !== 'files' && (
          <RecordTable
            key={tab}
            table={tab}
            state={state}
            open={openedAt(address)}
            leave={leave}
            // What is closed leaves no step to go back to.
            onOpen={(open) => follow({ table: tab, ...addressOf(open) }, open === null ? 'replace' : 'push')}
          />
        )}
      </main>
      {leave.dialog}
    </div>
  );
}

/** What is taken in from files. */
const Files = ({ site }: { site: Id }) => (
  <>
    <SheetsImport key={site} site={site} />
    <CableEnds key={`${site} ends`} site={site} />
    <ImportPanel site={site} />
  </>
);

const isTable = (name: string | null): name is DossierTable => name !== null && Object.hasOwn(FORMS, name);
const tabOf = (name: string | null): Tab =>
  isTable(name) || name === 'site' || name === 'files' ? name : 'area';
