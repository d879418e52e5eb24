import { Button, Group, Modal } from '@mantine/core';
import { useCallback, useRef, useState } from 'react';
import { api, type ApiError } from '../../client/api';
import { currentInstruments, registerIdOf } from '../../core/record/instruments';
import type { Slice } from '../../core/record/slice';
import type { DossierTable, Payloads } from '../../core/record/commands';
import type { Tables } from '../../core/record/types';
import { device, parameter, useDevice } from '../device';
import { give, tryGive } from '../give';
import { Root, type ViewProps } from '../Root';
import './dossier.css';
import { offenceWords, own } from './draft';
import { blankOf, get } from './fields';
import { blankSite, FORMS, SITE_FIELDS } from './forms';
import { ExportPanel } from './ExportPanel';
import { FromRegister } from './FromRegister';
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
  const [tab, setTab] = useState<Tab>(() => tabOf(parameter('table')));
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
            onClick={() => leave.then(() => setTab(id))}
          >
            {title}
            {id !== 'site' && id !== 'files' && (
              <small className="figures">{recordsOf(slice, id, site).length}</small>
            )}
          </button>
        ))}
        <a href="/dossier/?new=site">New site</a>
      </nav>
      <main id="main">
        {tab === 'site' && <SiteForm state={state} record={record} leave={leave} />}
        {tab === 'files' && <Files site={site} />}
        {tab !== 'site' && tab !== 'files' && <Table key={tab} table={tab} state={state} leave={leave} />}
      </main>
      {leave.dialog}
    </div>
  );
}

const isTable = (name: string | null): name is DossierTable => name !== null && Object.hasOwn(FORMS, name);
const tabOf = (name: string | null): Tab =>
  isTable(name) || name === 'site' || name === 'files' ? name : 'area';

/** Why the records refuse something, at the path of the field. */
const reasonOf = ({ field, message }: { field: string; message: string }) => ({
  field: field.replace(/^(payload\.)?(set\.)?/, ''),
  message,
});

/** Something that leaves a form: asked first when something is typed in it that is not saved. */
interface Leave {
  then: (go: () => void) => void;
  onDirty: (dirty: boolean) => void;
  dialog: React.ReactNode;
}

function useLeave(): Leave {
  const dirty = useRef(false);
  const [going, setGoing] = useState<{ go: () => void } | null>(null);
  const onDirty = useCallback((is: boolean) => void (dirty.current = is), []);
  const stay = () => setGoing(null);
  return {
    onDirty,
    then: (go) => (dirty.current ? setGoing({ go }) : go()),
    dialog: (
      <Modal opened={going !== null} onClose={stay} title="Leave without saving?">
        <p>Something is typed in this form that is not saved. It is lost if you leave.</p>
        <Group>
          <Button data-autofocus onClick={stay}>
            Stay
          </Button>
          <Button
            variant="default"
            onClick={() => {
              dirty.current = false;
              setGoing(null);
              going!.go();
            }}
          >
            Leave
          </Button>
        </Group>
      </Modal>
    ),
  };
}

function SiteForm({ state, record, leave }: ViewProps & { record: Tables['site']; leave: Leave }) {
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

function Files({ site }: { site: string }) {
  return (
    <>
      <ImportPanel site={site} />
      <ExportPanel site={site} />
    </>
  );
}

/** What is open beside the list: a record, a new one, a copy of one, or a refused one that is mended. */
type Open = { id: string } | { as: 'new' } | { as: 'copy'; of: string } | { as: 'refused'; command: string };

function openedAt(table: DossierTable): Open | null {
  if (parameter('table') !== table) return null;
  const [record, refused] = [parameter('record'), parameter('refused')];
  if (refused) return { as: 'refused', command: refused };
  return record === 'new' ? { as: 'new' } : record ? { id: record } : null;
}

function Table({ table, state, leave }: ViewProps & { table: DossierTable; leave: Leave }) {
  const { slice, site } = state;
  const form = FORMS[table];
  const [text, setText] = useState('');
  const [open, setOpen] = useState<Open | null>(() => openedAt(table));
  const [lending, setLending] = useState(false);
  const records = recordsOf(slice, table, site);
  const name = (record: Tables[DossierTable]) =>
    table === 'entry' ? titleOf(slice, table, record) : form.name(record as never);
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
        name={name}
        leave={leave}
        onOpen={setOpen}
      />
    );
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
            <button type="button" className="plain" onClick={() => setOpen({ id: record.id })}>
              <b>{name(record)}</b> <span className="quiet">{form.beside(record)}</span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

/** Records of a table as they are listed: of instruments the newest version of each. */
const recordsOf = (slice: Slice, table: DossierTable, site: string) =>
  (table === 'instrument'
    ? currentInstruments(slice, site)
    : slice.by(table, 'site', site)) as (Tables[DossierTable] & Record<string, unknown>)[];

/**
 * Keeps an instrument in the register: every site that has it gets a new version, and what was measured before stays with
 * the one it was measured with.
 */
async function keepInRegister(value: Record<string, unknown>, of: string) {
  try {
    const { answers } = await api.keepInstrument({ ...value, id: of });
    const refused = answers.find((one) => one.status === 'refused');
    return refused?.status === 'refused' ? reasonOf(refused) : null;
  } catch (error) {
    const { message, field } = error as ApiError;
    const unreached = (error as ApiError).status === 0;
    return { field: field ?? 'register', message: unreached ? 'it is kept on the server, which cannot be reached now. Save again when it can; what is typed stays here.' : message }; // prettier-ignore
  }
}

interface RecordPageProps extends ViewProps {
  table: DossierTable;
  open: Open;
  name: (record: Tables[DossierTable]) => string;
  leave: Leave;
  onOpen: (open: Open | null) => void;
}

/** What a form starts from. */
interface Start {
  title: string;
  record: Record<string, unknown>;
  isNew: boolean;
  sister: string | null;
  refused?: Record<string, string>;
}

function startOf({ table, state, open, name }: RecordPageProps): Start | null {
  const { slice } = state;
  const form = FORMS[table];
  if ('id' in open) {
    const record = slice.get(table, open.id);
    return record && { title: name(record), record: { ...record }, isNew: false, sister: null };
  }
  if (open.as === 'new') {
    const extra = typeof form.extra === 'function' ? form.extra() : form.extra;
    const record = { ...blankOf(form.fields, extra), id: device.id() };
    return { title: `New ${form.one}`, record, isNew: true, sister: null };
  }
  if (open.as === 'copy') {
    const of = slice.get(table, open.of) as unknown as Record<string, unknown> | null;
    if (!of) return null;
    const { rev: _r, stamps: _t, site: _s, cableSince: _c, of: _o, lentAt: _l, ...rest } = of;
    const record = { ...structuredClone(rest), id: device.id(), ...withoutName(rest) };
    const sister = name(of as never);
    return { title: `New ${form.one}, like ${sister}`, record, isNew: true, sister };
  }
  return refusedStart(table, state, open.command);
}

/** A record that was refused, as it was typed, with the reason at its field. */
function refusedStart(table: DossierTable, state: ViewProps['state'], command: string): Start | null {
  const waiting = state.refused.find((one) => one.command.id === command);
  if (!waiting?.refusal) return null;
  const payload = waiting.command.payload as unknown as Record<string, unknown>;
  const isNew = waiting.command.kind === `${table}.add`;
  const before = isNew ? {} : state.slice.get(table, String(payload.id));
  if (!before) return null;
  const record = isNew ? payload : { ...before, ...(payload.set as object) };
  const { field, message } = reasonOf(waiting.refusal);
  const words = offenceWords(message.replace(waiting.refusal.field, '').trim());
  return {
    title: `${FORMS[table].one[0]!.toUpperCase()}${FORMS[table].one.slice(1)} that was not taken`,
    record,
    isNew,
    sister: null,
    refused: { [field]: get(record, field) === undefined ? message : words },
  };
}

function RecordPage(props: RecordPageProps) {
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

/** Fields whose value is another than before. */
function changed(before: Record<string, unknown>, after: Record<string, unknown>): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(after).filter(([key, value]) => JSON.stringify(value) !== JSON.stringify(before[key])),
  );
}

/** A copy has to be named by hand. */
function withoutName(record: Record<string, unknown>): Record<string, string> {
  for (const key of ['tag', 'number', 'name', 'label'])
    if (typeof record[key] === 'string') return { [key]: '' };
  return {};
}
