import '@fontsource/atkinson-hyperlegible-next/latin-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-700.css';
import '@fontsource/atkinson-hyperlegible-mono/latin-400.css';
import '@fontsource/atkinson-hyperlegible-mono/latin-700.css';
import '@fontsource/noto-sans-math/400.css';
import '@mantine/core/styles/baseline.css';
import '@mantine/core/styles/global.css';
import '@mantine/core/styles/default-css-variables.css';
import '@mantine/core/styles/UnstyledButton.css';
import '@mantine/core/styles/Button.css';
import '@mantine/core/styles/Loader.css';
import '@mantine/core/styles/CloseButton.css';
import '@mantine/core/styles/Paper.css';
import '@mantine/core/styles/Overlay.css';
import '@mantine/core/styles/ScrollArea.css';
import '@mantine/core/styles/ModalBase.css';
import '@mantine/core/styles/Modal.css';
import '@mantine/core/styles/Input.css';
import { Button, MantineProvider } from '@mantine/core';
import { lazy, Suspense, useEffect, useState, type ReactNode } from 'react';
import type { DeviceState } from '../offline/device';
import '../ui/global.css';
import { useKeys, type KeyBinding } from '../ui/keys';
import { cssVariables, theme } from '../ui/theme';
import { device, hush, startDevice, useDevice, useSaid } from './device';
import { ErrorBoundary } from './ErrorBoundary';
import { Head, type ViewName } from './Head';

const Palette = lazy(() => import('./Palette'));
const KeyList = lazy(() => import('./KeyList'));

/** A view's own keys, shown in the list of keys. */
export interface ViewProps {
  state: DeviceState & { site: string };
}

/** Frame of every view: theme, head, keys, and what is shown before there is anything to show. */
export function Root({
  view,
  keys = [],
  silent = [],
  children,
}: {
  view: ViewName;
  keys?: readonly KeyBinding[];
  /** Keys that need no line in the list, such as figures. */
  silent?: readonly KeyBinding[];
  children: (state: ViewProps['state']) => ReactNode;
}) {
  const state = useDevice();
  const [palette, setPalette] = useState(false);
  const [list, setList] = useState(false);
  useEffect(startDevice, []);
  const own: KeyBinding[] = [
    {
      key: 'ctrl+k',
      title: 'Find an entry, certificate or defect',
      run: () => setPalette(true),
      always: true,
    },
    { key: '?', title: 'List the keys', run: () => setList(true) },
  ];
  useKeys([...keys, ...own, ...silent]);
  return (
    <MantineProvider theme={theme} cssVariablesResolver={cssVariables}>
      <a className="skip-link" href="#main">
        Skip to the content
      </a>
      <Head view={view} state={state} onFind={() => setPalette(true)} onKeys={() => setList(true)} />
      <Refused state={state} />
      <ErrorBoundary>
        <Content state={state}>{children}</Content>
      </ErrorBoundary>
      <Said />
      <Suspense fallback={null}>
        {palette && <Palette onClose={() => setPalette(false)} />}
        {list && <KeyList keys={[...keys, ...own]} onClose={() => setList(false)} />}
      </Suspense>
    </MantineProvider>
  );
}

function Content({
  state,
  children,
}: {
  state: DeviceState;
  children: (state: ViewProps['state']) => ReactNode;
}) {
  if (state.ready === 'ready' && !state.person)
    return <WhoAreYou people={state.people.map(({ name }) => name)} />;
  if (state.ready === 'ready' && state.site !== null) return <>{children(state as ViewProps['state'])}</>;
  if (state.ready === 'no-person') return <WhoAreYou people={state.people.map(({ name }) => name)} />;
  if (state.ready === 'no-site') {
    return (
      <main id="main" className="empty">
        <h1>No site yet</h1>
        <p>Make a site first: its name and its limits. Areas, enclosures and entries follow.</p>
        <Button component="a" href="/dossier/?new=site">
          Make a site
        </Button>
      </main>
    );
  }
  if (state.ready === 'unreached') {
    return (
      <main id="main" className="empty">
        <h1>The server cannot be reached</h1>
        <p>
          This device has no copy of a site yet. Connect once; after that everything works without a signal.
        </p>
      </main>
    );
  }
  return (
    <main id="main" className="empty" aria-busy="true">
      <h1>Opening the site …</h1>
    </main>
  );
}

function WhoAreYou({ people }: { people: readonly string[] }) {
  const [name, setName] = useState('');
  const [problem, setProblem] = useState('');
  const signIn = (who: string) => device.signIn(who).catch((error: Error) => setProblem(error.message));
  return (
    <main id="main" className="empty">
      <h1>Who are you?</h1>
      <p>Your name stands beside everything that you record.</p>
      {people.map((person) => (
        <Button key={person} variant="default" mr="sm" mb="sm" onClick={() => void signIn(person)}>
          {person}
        </Button>
      ))}
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void signIn(name);
        }}
      >
        <label className="field">
          <span>Another name</span>
          <input value={name} onChange={(event) => setName(event.target.value)} autoComplete="name" />
        </label>
        {problem && <p role="alert">{problem}</p>}
        <Button type="submit">Continue</Button>
      </form>
    </main>
  );
}

/** Commands that the server did not take: kept, shown with the reason, dropped only by hand. */
function Refused({ state }: { state: DeviceState }) {
  const first = state.refused[0];
  if (!first?.refusal) return null;
  return (
    <div className="notice" role="alert">
      <b>
        {state.refused.length} {state.refused.length === 1 ? 'record was' : 'records were'} not taken.
      </b>{' '}
      {first.command.kind} of {new Date(first.command.at).toLocaleString('en-GB')}: {first.refusal.message}{' '}
      <Button size="compact-sm" variant="default" onClick={() => void device.drop(first.command.id)}>
        Drop it
      </Button>
      <details>
        <summary>What it held</summary>
        <pre>{JSON.stringify(first.command.payload, null, 2)}</pre>
      </details>
    </div>
  );
}

function Said() {
  const said = useSaid();
  return (
    <div aria-live="polite">
      {said && (
        <div className="toast">
          <span>{said.text}</span>
          {said.action && (
            <button
              type="button"
              onClick={() => {
                hush();
                said.action!.run();
              }}
            >
              {said.action.title}
            </button>
          )}
          <button type="button" onClick={hush} aria-label="Close this message">
            ✕
          </button>
        </div>
      )}
    </div>
  );
}
