import '@fontsource/atkinson-hyperlegible-next/latin-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-700.css';
import '@fontsource/atkinson-hyperlegible-mono/latin-400.css';
import '@fontsource/atkinson-hyperlegible-mono/latin-700.css';
import '../../ui/fonts/signs.css';
import '@mantine/core/styles/baseline.css';
import '@mantine/core/styles/global.css';
import '@mantine/core/styles/default-css-variables.css';
import '@mantine/core/styles/UnstyledButton.layer.css';
import '@mantine/core/styles/Button.css';
import '@mantine/core/styles/Loader.css';
import '@mantine/core/styles/CloseButton.css';
import '@mantine/core/styles/Paper.css';
import '@mantine/core/styles/Overlay.css';
import '@mantine/core/styles/ScrollArea.css';
import '@mantine/core/styles/ModalBase.css';
import '@mantine/core/styles/Modal.css';
import '@mantine/core/styles/Input.css';
import '@mantine/core/styles/InlineInput.css';
import '@mantine/core/styles/Checkbox.css';
import '@mantine/core/styles/Fieldset.css';
import '@mantine/core/styles/Group.css';
import '@mantine/core/styles/Alert.css';
import '@mantine/core/styles/Progress.css';
import '@mantine/core/styles/Stack.css';
import '@mantine/core/styles/Table.css';
import '@mantine/core/styles/Text.css';
import '@mantine/core/styles/AppShell.css';
import '@mantine/core/styles/Kbd.css';
import { AppShell, Button, MantineProvider, TextInput, UnstyledButton } from '@mantine/core';
import { useForm } from '@mantine/form';
import { lazy, Suspense, useEffect, useState, type ReactNode } from 'react';
import type { DeviceState } from '../../device/device';
import '../../ui/global.css';
import { useKeys, type KeyBinding } from '../../ui/keys';
import { cssVariables, theme } from '../../ui/theme';
import { device, hush, startDevice, useDevice, useSaid } from '../hand/hand';
import { ErrorBoundary } from './ErrorBoundary';
import { Head } from './Head';
import type { ViewName } from './way';
import { Notices } from './Notices';

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
      <AppShell mode="static" header={{ height: 'var(--head)' }}>
        <Head view={view} state={state} onFind={() => setPalette(true)} onKeys={() => setList(true)} />
        <AppShell.Main component="div" className="frame-main">
          <Notices state={state} />
          <ErrorBoundary>
            <Content state={state}>{children}</Content>
          </ErrorBoundary>
        </AppShell.Main>
      </AppShell>
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
  const form = useForm({
    mode: 'controlled',
    initialValues: { name: '' },
    validate: {
      name: (name) => (name.trim().length < 2 || name.length > 60 ? 'Type a name of 2 to 60 letters.' : null),
    },
  });
  const signIn = (who: string) =>
    device.signIn(who).catch((error: Error) => form.setFieldError('name', error.message));
  return (
    <main id="main" className="empty">
      <h1>Who are you?</h1>
      <p>Your name stands beside everything that you record.</p>
      {people.map((person) => (
        <Button key={person} variant="default" mr="sm" mb="sm" onClick={() => void signIn(person)}>
          {person}
        </Button>
      ))}
      <form noValidate onSubmit={form.onSubmit(({ name }) => void signIn(name))}>
        <TextInput label="Another name" autoComplete="name" mb="sm" {...form.getInputProps('name')} />
        <Button type="submit">Continue</Button>
      </form>
    </main>
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
            <UnstyledButton
              onClick={() => {
                hush();
                said.action!.run();
              }}
            >
              {said.action.title}
            </UnstyledButton>
          )}
          <UnstyledButton onClick={hush} aria-label="Close this message">
            ×
          </UnstyledButton>
        </div>
      )}
    </div>
  );
}
