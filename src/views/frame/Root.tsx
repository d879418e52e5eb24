import { fetched } from '../../ui/fetched';
import '@fontsource/atkinson-hyperlegible-next/latin-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-700.css';
import '@fontsource/atkinson-hyperlegible-mono/latin-400.css';
import '@fontsource/atkinson-hyperlegible-mono/latin-700.css';
import '../../ui/fonts/signs.css';
import '@mantine/core/styles/baseline.layer.css';
import '@mantine/core/styles/global.layer.css';
import '@mantine/core/styles/default-css-variables.layer.css';
import '@mantine/core/styles/UnstyledButton.layer.css';
import '@mantine/core/styles/Button.layer.css';
import '@mantine/core/styles/Loader.layer.css';
import '@mantine/core/styles/CloseButton.layer.css';
import '@mantine/core/styles/Paper.layer.css';
import '@mantine/core/styles/Overlay.layer.css';
import '@mantine/core/styles/ScrollArea.layer.css';
import '@mantine/core/styles/ModalBase.layer.css';
import '@mantine/core/styles/Modal.layer.css';
import '@mantine/core/styles/Input.layer.css';
import '@mantine/core/styles/InlineInput.layer.css';
import '@mantine/core/styles/Checkbox.layer.css';
import '@mantine/core/styles/Fieldset.layer.css';
import '@mantine/core/styles/Group.layer.css';
import '@mantine/core/styles/Alert.layer.css';
import '@mantine/core/styles/Progress.layer.css';
import '@mantine/core/styles/Stack.layer.css';
import '@mantine/core/styles/Table.layer.css';
import '@mantine/core/styles/Text.layer.css';
import '@mantine/core/styles/AppShell.layer.css';
import '@mantine/core/styles/Kbd.layer.css';
import '@mantine/core/styles/Tabs.layer.css';
import '@mantine/core/styles/SegmentedControl.layer.css';
import { AppShell, Button, MantineProvider, Text } from '@mantine/core';
import { Suspense, useDeferredValue, useEffect, useState, type ReactNode } from 'react';
import type { DeviceState } from '../../device/device-state';
import '../../ui/global.css';
import { useKeys, type KeyBinding } from '../../ui/keys';
import { cssVariables, theme } from '../../ui/theme';
import { useAddress } from '../hand/address';
import { device, onSaid, startDevice, useDeviceLater, useUpdate, type Said as SaidNews } from '../hand/hand';
import { ErrorBoundary } from './ErrorBoundary';
import { Head } from './Head';
import { viewKeys } from './view-keys';
import type { ViewName } from './way';

const Palette = fetched(() => import('./Palette'));
const WhoAreYou = fetched(() => import('./WhoAreYou'));
const NotHere = fetched(() => import('./NotHere'));
/** What is seen first goes so long before what may have to be told, ms. */
const AFTER_MS = 1500;
const notices = () => import('./Notices');
const Notices = fetched(notices);
const KeyList = fetched(() => import('./KeyList'));
const Voice = fetched(() => import('./Voice'));

/** What a view is given. */
export interface ViewProps {
  state: DeviceState & { site: string };
}

/** Frame of every view: theme, head, keys, and what is shown before there is anything to show. */
export const Root = (props: FrameProps) => (
  // The theme is not made anew with every reading: it stands outside what follows the device.
  <MantineProvider theme={theme} cssVariablesResolver={cssVariables}>
    <Frame {...props} />
  </MantineProvider>
);

interface FrameProps {
  view: ViewName;
  /** Shown where there is no site yet, too. */
  siteless?: boolean;
  children: (state: ViewProps['state']) => ReactNode;
}

function Frame({ view, siteless = false, children }: FrameProps) {
  const state = useDeviceLater();
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
  useKeys(own);
  return (
    <>
      <a className="skip-link" href="#main">
        Skip to the content
      </a>
      <AppShell mode="static" header={{ height: 'var(--head)' }}>
        <Head view={view} state={state} onFind={() => setPalette(true)} onKeys={() => setList(true)} />
        <AppShell.Main component="div" className="frame-main">
          <ToTell state={state} />
          <ErrorBoundary>
            <Content state={state} siteless={siteless}>
              {(open) => (
                <WithEntry view={view} state={open}>
                  {children}
                </WithEntry>
              )}
            </Content>
          </ErrorBoundary>
        </AppShell.Main>
      </AppShell>
      <Said />
      <Suspense fallback={null}>
        {palette && <Palette onClose={() => setPalette(false)} />}
        {list && <KeyList keys={[...viewKeys(), ...own]} onClose={() => setList(false)} />}
      </Suspense>
    </>
  );
}

function Content({
  state,
  siteless,
  children,
}: {
  state: DeviceState;
  siteless: boolean;
  children: (state: ViewProps['state']) => ReactNode;
}) {
  // The view comes up in steps between which the page hears: the first drawing of a site is long.
  const shown = useDeferredValue(state.ready === 'ready');
  if (state.ready === 'ready' && !state.person) return <Who state={state} />;
  if (shown && state.ready === 'ready' && state.site !== null)
    return <>{children(state as ViewProps['state'])}</>;
  if (state.ready === 'no-person') return <Who state={state} />;
  if (state.ready === 'no-site' && siteless) return <>{children(state as ViewProps['state'])}</>;
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

/** Views that work on one entry. */
const ON_ENTRY: readonly ViewName[] = ['bench', 'transit', 'makeoff', 'certificates', 'desk'];

/** Views that show what is on the device. */
const ON_DEVICE: readonly ViewName[] = ['certificates'];

/** Of a large site, the entry that the address names comes along before the view is shown. */
function WithEntry({
  view,
  state,
  children,
}: ViewProps & { view: ViewName; children: (state: ViewProps['state']) => ReactNode }) {
  const [{ entry }] = useAddress('entry');
  if (state.part && entry !== null && ON_ENTRY.includes(view) && !device.along.isHere(entry))
    return (
      <Suspense fallback={null}>
        <NotHere
          key={entry}
          site={state.site}
          what="entry"
          more={{ entries: [entry] }}
          isHere={() => device.along.isHere(entry)}
        />
      </Suspense>
    );
  return (
    <>
      {state.part && ON_DEVICE.includes(view) && (
        <Text size="sm" px="md" py={6} role="note">
          A part of this large site is on this device, and this view shows that part. Find shows the rest.
        </Text>
      )}
      {children(state)}
    </>
  );
}

/** What a person has to know, where there is something. */
function ToTell({ state }: { state: DeviceState }) {
  const update = useUpdate();
  // What there may be to tell is told without the server: it is here before that, and after what is seen first.
  useEffect(() => {
    const wait = setTimeout(() => void notices().catch(() => undefined), AFTER_MS);
    return () => clearTimeout(wait);
  }, []);
  const { trouble, forgotten, held, refused, notices: told } = state;
  const some = trouble !== null || forgotten || update || held.length + refused.length + told.length > 0;
  return <Suspense fallback={null}>{some && <Notices state={state} update={update} />}</Suspense>;
}

const Who = ({ state: { people } }: { state: DeviceState }) => (
  <Suspense fallback={null}>
    <WhoAreYou people={people.map(({ name }) => name)} />
  </Suspense>
);

/** What is said comes up with the first word: a page that says nothing does not load it. */
function Said() {
  const [said, setSaid] = useState<readonly (SaidNews | null)[]>([]);
  // Nothing to be taken away while nothing was said.
  useEffect(
    () => onSaid((one) => setSaid((before) => (one || before.length > 0 ? [...before, one] : before))),
    [],
  );
  if (said.length === 0) return null;
  return (
    <Suspense fallback={null}>
      <Voice said={said} />
    </Suspense>
  );
}
