import { useEffect, useState } from 'react';
import { count } from '../../core/words/en/format';
import type { DeviceState } from '../../device/device';
import type { Trouble } from '../../device/keeper';
import { watchClocks } from '../hand/alarm';

export type ViewName =
  | 'site'
  | 'bench'
  | 'makeoff'
  | 'clocks'
  | 'defects'
  | 'certificates'
  | 'mineral'
  | 'transit'
  | 'desk'
  | 'dossier';

const VIEWS: [name: ViewName, title: string][] = [
  ['site', 'Site'],
  ['bench', 'Bench'],
  ['makeoff', 'Make-off'],
  ['clocks', 'Clocks'],
  ['defects', 'Defects'],
  ['certificates', 'Certificates'],
  ['mineral', 'Mineral'],
  ['transit', 'Transits'],
  ['desk', 'Desk'],
  ['dossier', 'Dossier'],
];

const APPEARANCES = ['paper', 'night', 'glare'] as const;

interface Props {
  view: ViewName;
  state: DeviceState;
  onFind: () => void;
  onKeys: () => void;
}

/** Head of every view: where you are, what waits to be sent, who you are. */
export function Head({ view, state, onFind, onKeys }: Props) {
  const { sites, site, person } = state;
  return (
    <header className="head">
      <a className="name" href="/site/">
        Yendral
      </a>
      {(sites.length > 0 || (site && state.slice.get('site', site))) && (
        <select
          aria-label="Site"
          value={site ?? ''}
          onChange={(event) => location.assign(`/site/?site=${event.target.value}`)}
        >
          {sites.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
          {site && !sites.some(({ id }) => id === site) && (
            <option value={site}>{state.slice.get('site', site)?.name}</option>
          )}
        </select>
      )}
      <nav aria-label="Views">
        {VIEWS.map(([name, title]) => (
          <a
            key={name}
            href={`/${name}/?site=${site ?? ''}`}
            aria-current={name === view ? 'page' : undefined}
          >
            {title}
            {name === 'clocks' && <DueClocks />}
          </a>
        ))}
      </nav>
      <span className={`sync push${state.trouble ? ' tone-failed' : ''}`} role="status">
        {syncWords(state)}
      </span>
      <AppearanceSwitch />
      <button type="button" className="small" onClick={onFind} aria-label="Find (Ctrl K)">
        Find
      </button>
      <button type="button" className="small" onClick={onKeys} aria-label="List the keys">
        ?
      </button>
      {person && <b className="who">{person.name}</b>}
    </header>
  );
}

/** How many clocks are due, on every view; looked at every second. */
function DueClocks() {
  const [due, setDue] = useState(0);
  useEffect(() => {
    const look = () => setDue(watchClocks().due);
    const timer = setInterval(look, 1000);
    return () => clearInterval(timer);
  }, []);
  return due > 0 ? <b className="due-clocks"> {due} due</b> : null;
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

function AppearanceSwitch() {
  const [appearance, setAppearance] = useState(() => document.documentElement.dataset.appearance ?? 'paper');
  const next = APPEARANCES[(APPEARANCES.indexOf(appearance as 'paper') + 1) % APPEARANCES.length]!;
  return (
    <button
      type="button"
      className="small"
      aria-label={`Appearance: ${appearance}. Change to ${next}`}
      onClick={() => {
        document.documentElement.dataset.appearance = next;
        localStorage.setItem('yendral.appearance', next);
        setAppearance(next);
      }}
    >
      {appearance[0]!.toUpperCase() + appearance.slice(1)}
    </button>
  );
}
