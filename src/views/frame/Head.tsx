import { AppShell, Button, NativeSelect, Text } from '@mantine/core';
import { useEffect, useLayoutEffect, useState, type CSSProperties } from 'react';
import { count } from '../../core/words/en/format';
import type { DeviceState } from '../../device/device-state';
import type { Trouble } from '../../device/keeper';
import './frame.css';
import { wayOf, WAYS, type ViewName } from './way';

interface Props {
  view: ViewName;
  state: DeviceState;
  onFind: () => void;
  onKeys: () => void;
}

/** Where a part of the head stands; the style sheet says where that is at each size. */
const at = (area: string): CSSProperties => ({ '--at': area }) as CSSProperties;
/** Buttons of the head leave its words room. */
const SMALL = { fz: 14, px: 10 } as const;

/** Head of every view: where you are, what waits to be sent, who you are. */
export function Head({ view, state, onFind, onKeys }: Props) {
  const { site, person } = state;
  const alone = wayOf(view).views.length === 1;
  // How high the head is, everything below it asks; a selector that looks for the head would look with every change.
  useLayoutEffect(() => void document.documentElement.toggleAttribute('data-alone', alone), [alone]);
  return (
    <AppShell.Header className={alone ? 'head alone' : 'head'} withBorder={false}>
      <Text component="a" className="name" style={at('name')} fw={700} size="lg" td="none" href="/site/">
        Yendral
      </Text>
      <SiteChoice state={state} />
      <Ways view={view} site={site ?? ''} />
      <Below view={view} site={site ?? ''} />
      <span className={`sync ${state.trouble ? 'tone-failed' : 'quiet'}`} style={at('sync')} role="status">
        {syncWords(state)}
      </span>
      <AppearanceSwitch />
      <Button variant="default" {...SMALL} style={at('find')} onClick={onFind} aria-label="Find (Ctrl K)">
        Find
      </Button>
      <Button variant="default" {...SMALL} style={at('keys')} onClick={onKeys} aria-label="List the keys">
        ?
      </Button>
      {person && (
        <b className="who" style={at('who')}>
          {person.name}
        </b>
      )}
    </AppShell.Header>
  );
}

function SiteChoice({ state: { sites, site, slice } }: { state: DeviceState }) {
  const here = site === null ? null : slice.get('site', site);
  if (sites.length === 0 && !here) return null;
  const known = sites.map(({ id, name }) => ({ value: id, label: name }));
  const alone = site !== null && !sites.some(({ id }) => id === site);
  return (
    <NativeSelect
      className="site-choice"
      style={at('site')}
      aria-label="Site"
      value={site ?? ''}
      data={alone ? [...known, { value: site, label: here?.name ?? site }] : known}
      onChange={(event) => location.assign(`/site/?site=${event.currentTarget.value}`)}
    />
  );
}

/** The order of the work, at most six words; at the foot of a phone. */
function Ways({ view, site }: { view: ViewName; site: string }) {
  const here = wayOf(view);
  return (
    <nav className="ways" style={at('ways')} aria-label="The way through">
      {WAYS.map((way) => (
        <a
          className="line"
          key={way.word}
          href={`/${way.views[0]![0]}/?site=${site}`}
          aria-current={way === here ? (way.views[0]![0] === view ? 'page' : 'true') : undefined}
        >
          {way.word}
          {way.views.some(([name]) => name === 'clocks') && <DueClocks />}
        </a>
      ))}
    </nav>
  );
}

/** What lies one level below the word that is open. */
function Below({ view, site }: { view: ViewName; site: string }) {
  const { word, views } = wayOf(view);
  if (views.length < 2) return null;
  return (
    <nav className="below" style={at('below')} aria-label={word}>
      {views.map(([name, title]) => (
        <a
          className="line"
          key={name}
          href={`/${name}/?site=${site}`}
          aria-current={name === view ? 'page' : undefined}
        >
          {title}
        </a>
      ))}
    </nav>
  );
}

/** What is seen first goes so long before the clocks, ms. */
const AFTER_MS = 1000;

/** How many clocks are due, on every view; looked at every second. */
function DueClocks() {
  const [due, setDue] = useState(0);
  useEffect(() => {
    let timer: ReturnType<typeof setInterval> | undefined;
    let left = false;
    // What it takes to know them comes after what is seen first.
    const wait = setTimeout(() => {
      import('../hand/alarm').then(({ watchClocks }) => {
        if (!left) timer = setInterval(() => setDue(watchClocks().due), 1000);
      }, console.error);
    }, AFTER_MS);
    return () => {
      left = true;
      clearTimeout(wait);
      clearInterval(timer);
    };
  }, []);
  return due > 0 ? <b className="due-clocks tone-failed"> {due} due</b> : null;
}

function syncWords({ waiting, ofOthers, held, refused, online, trouble, forgotten }: DeviceState): string {
  if (trouble !== null) return TROUBLE_WORDS[trouble];
  const not = refused.length + held.length;
  if (waiting > 0 && forgotten) return `${count(waiting, 'record')} waiting: sign in again`;
  if (waiting > 0) return `${count(waiting, 'record')} waiting to send`;
  if (not > 0) return `${count(not, 'record')} not sent`;
  if (ofOthers > 0) return `${count(ofOthers, 'record')} of others waiting`;
  return online ? 'Everything sent' : 'Working without the server';
}

const TROUBLE_WORDS: Record<Trouble, string> = {
  'no-store': 'This browser keeps nothing: stay online',
  'not-kept': 'Not kept on this device: no room',
  'little-space': 'Little room left on this device',
  'no-offline': 'This device cannot keep work offline',
};

/** The appearances in words that say what they are for. */
const APPEARANCES = { paper: 'day', night: 'night', glare: 'glare' } as const;
type Appearance = keyof typeof APPEARANCES;

function AppearanceSwitch() {
  const [appearance, setAppearance] = useState(
    () => (document.documentElement.dataset.appearance ?? 'paper') as Appearance,
  );
  const all = Object.keys(APPEARANCES) as Appearance[];
  const next = all[(all.indexOf(appearance) + 1) % all.length]!;
  return (
    <Button
      variant="default"
      {...SMALL}
      className="appearance"
      style={at('appearance')}
      aria-label={`Screen: ${APPEARANCES[appearance]}. Change to ${APPEARANCES[next]}`}
      onClick={() => {
        document.documentElement.dataset.appearance = next;
        localStorage.setItem('yendral.appearance', next);
        setAppearance(next);
      }}
    >
      Screen: {APPEARANCES[appearance]}
    </Button>
  );
}
