import { Button } from '@mantine/core';
import { useState } from 'react';
import { exportAddress } from '../../client/api';
import type { DossierTable, Payloads } from '../../core/record/commands';
import type { Tables } from '../../core/record/types';
import { device, parameter, useDevice } from '../device';
import { give } from '../give';
import { Root, type ViewProps } from '../Root';
import './dossier.css';
import { blankSite, FORMS, SITE_FIELDS } from './forms';
import { History } from './History';
import { ImportPanel } from '../ImportPanel';
import { RecordForm } from './RecordForm';
import { titleOf } from './RecordInput';

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
        fields={SITE_FIELDS}
        value={blankSite(id)}
        slice={slice}
        site={id}
        onCancel={() => location.assign('/site/')}
        onSave={(value) => {
          if (!give('site.add', value as unknown as Payloads['site.add'], '', id)) return;
          void device.flush().then(() => location.assign(`/dossier/?site=${id}`));
        }}
      />
    </main>
  );
}

function DossierOf({ state }: ViewProps) {
  const { slice, site } = state;
  const [tab, setTab] = useState<Tab>((parameter('table') as Tab) ?? 'area');
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
    ['files', 'Import and export'],
  ];
  return (
    <div className="dossier">
      <nav aria-label="Parts of the dossier">
        {tabs.map(([id, title]) => (
          <button
            key={id}
            type="button"
            aria-current={tab === id ? 'true' : undefined}
            onClick={() => setTab(id)}
          >
            {title}
            {id !== 'site' && id !== 'files' && (
              <small className="figures">{slice.by(id, 'site', site).length}</small>
            )}
          </button>
        ))}
        <a href="/dossier/?new=site">New site</a>
      </nav>
      <main id="main">
        {tab === 'site' && <SiteForm key={record.rev} state={state} record={record} />}
        {tab === 'files' && <Files site={site} />}
        {tab !== 'site' && tab !== 'files' && <Table key={tab} table={tab} state={state} />}
      </main>
    </div>
  );
}

function SiteForm({ state, record }: ViewProps & { record: Tables['site'] }) {
  return (
    <>
      <h1>{record.name}</h1>
      <RecordForm
        fields={SITE_FIELDS}
        value={record}
        slice={state.slice}
        site={record.id}
        onCancel={() => location.reload()}
        onSave={(value) => {
          const set = changed(record as unknown as Record<string, unknown>, value);
          if (Object.keys(set).length > 0) give('site.edit', { id: record.id, set }, 'The site is changed.');
        }}
      />
    </>
  );
}

function Files({ site }: { site: string }) {
  return (
    <>
      <ImportPanel site={site} />
      <section>
        <h2>Export</h2>
        {['findings.csv', 'findings.json', 'defects.csv', 'defects.json', 'sizes.csv', 'site.json'].map(
          (name) => (
            <a key={name} className="export" href={exportAddress(site, name)} download>
              {name}
            </a>
          ),
        )}
      </section>
    </>
  );
}

function Table({ table, state }: ViewProps & { table: DossierTable }) {
  const { slice, site } = state;
  const form = FORMS[table];
  const [text, setText] = useState('');
  const [open, setOpen] = useState<string | null>(parameter('table') === table ? parameter('record') : null);
  const records = slice.by(table, 'site', site) as (Tables[DossierTable] & Record<string, unknown>)[];
  const name = (record: Tables[DossierTable]) =>
    table === 'entry' ? titleOf(slice, table, record) : form.name(record as never);
  const shown = records.filter((record) => {
    const words = `${name(record)} ${form.beside(record)}`.toLowerCase();
    return text
      .toLowerCase()
      .split(/\s+/)
      .every((word) => words.includes(word));
  });
  const opened = open === 'new' ? form.blank(device.id()) : records.find(({ id }) => id === open);
  if (opened) {
    return (
      <RecordPage
        table={table}
        state={state}
        record={opened as Record<string, unknown>}
        isNew={open === 'new'}
        title={open === 'new' ? `New ${form.one}` : name(opened as never)}
        onClose={() => setOpen(null)}
      />
    );
  }
  return (
    <>
      <div className="table-head">
        <h1>{form.title}</h1>
        <input
          type="search"
          aria-label={`Search ${form.title.toLowerCase()}`}
          placeholder="Search"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <Button onClick={() => setOpen('new')}>New {form.one}</Button>
      </div>
      {records.length === 0 && <p className="empty">{form.empty}</p>}
      {records.length > 0 && shown.length === 0 && (
        <p className="empty">Nothing matches. Clear the search.</p>
      )}
      <ul className="records">
        {shown.map((record) => (
          <li key={record.id}>
            <button type="button" className="plain" onClick={() => setOpen(record.id)}>
              <b>{name(record)}</b> <span className="quiet">{form.beside(record)}</span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

interface RecordPageProps extends ViewProps {
  table: DossierTable;
  record: Record<string, unknown>;
  isNew: boolean;
  title: string;
  onClose: () => void;
}

function RecordPage({ table, state, record, isNew, title, onClose }: RecordPageProps) {
  const { slice, site } = state;
  const form = FORMS[table];
  const id = String(record.id);
  const save = (value: Record<string, unknown>) => {
    if (isNew) {
      if (give(`${table}.add`, value as never, `The ${form.one} is added.`)) onClose();
      return;
    }
    const set = changed(record, value);
    if (
      Object.keys(set).length === 0 ||
      give(`${table}.edit`, { id, set } as never, `The ${form.one} is changed.`)
    )
      onClose();
  };
  const copy = () => {
    const { rev: _rev, stamps: _stamps, site: _site, ...rest } = record;
    const twin = { ...structuredClone(rest), id: device.id(), ...copyName(rest) };
    if (give(`${table}.add`, twin as never, `A copy of the ${form.one} is added.`)) onClose();
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
            <Button variant="default" onClick={copy}>
              Copy
            </Button>
            <Button
              variant="default"
              onClick={() => {
                if (give(`${table}.remove`, { id } as never, `The ${form.one} is removed.`)) onClose();
              }}
            >
              Remove
            </Button>
          </>
        )}
      </div>
      <RecordForm
        fields={form.fields}
        value={record}
        slice={slice}
        site={site}
        onSave={save}
        onCancel={onClose}
      />
      {!isNew && <History site={site} record={id} rev={record.rev as string | undefined} />}
    </>
  );
}

/** Fields whose value is another than before. */
function changed(before: Record<string, unknown>, after: Record<string, unknown>): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(after).filter(([key, value]) => JSON.stringify(value) !== JSON.stringify(before[key])),
  );
}

function copyName(record: Record<string, unknown>): Record<string, string> {
  for (const key of ['tag', 'number', 'name', 'label']) {
    if (typeof record[key] === 'string') return { [key]: `${record[key]} copy`.slice(0, 20) };
  }
  return {};
}
