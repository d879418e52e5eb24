import { NativeSelect, TextInput, UnstyledButton } from '@mantine/core';
import { useState } from 'react';
import { now } from '../../client/clock';
import { dayIn } from '../../core/record/calendar';
import type { Slice } from '../../core/record/slice';
import type { EntryStatus, Grade, Id } from '../../core/record/types';
import { standingState } from '../../core/rulebook/assess';
import { ENTRY_STATES, type EntryState } from '../../core/record/finding';
import { day } from '../../core/words/en/format';
import { GRADE_WORDS, STATE_WORDS } from '../../core/words/en/labels';
import { glyphOfState } from '../../ui/glyph-state';
import { SealGlyph, toneOf } from '../../ui/heart/SealGlyph';
import { Root, type ViewProps } from '../frame/Root';
import { useDevice, useStatuses } from '../hand/hand';
import { Plan } from './Plan';
import type { Stop } from './stop';
import './site.css';
import { kindTitle } from '../../core/words/en/kinds/kinds';

/** Where things stand on a site. */
export default function Site() {
  const state = useDevice();
  return <Root view="site">{() => <SiteOf state={state as ViewProps['state']} />}</Root>;
}

function SiteOf({ state }: ViewProps) {
  const { slice, site: siteId } = state;
  const [text, setText] = useState('');
  const [only, setOnly] = useState<EntryState | 'all'>('all');
  const [area, setArea] = useState('all');
  const statusOf = useStatuses();
  const stops = stopsOf(slice, siteId, statusOf);
  const site = slice.get('site', siteId);
  const areas = slice.by('area', 'site', siteId);
  const shown = stops.filter((stop) => matches(stop, slice, text, only, area));
  if (!site)
    return (
      <main id="main" className="empty">
        This site is not on this device yet.
      </main>
    );
  return (
    <div className="site">
      <main id="main">
        <div className="title">
          <h1>{site.name}</h1>
          <p className="quiet">
            {stops.length} entries in {areas.length} areas
          </p>
        </div>
        {stops.length === 0 ? (
          <div className="empty">
            <h2>Nothing to inspect yet</h2>
            <p>Make an area first, then an enclosure in it, then its entries; or import a cable schedule.</p>
            <a href={`/dossier/?site=${siteId}`}>Open the dossier</a>
          </div>
        ) : (
          <Plan areas={areas} enclosures={slice.by('enclosure', 'site', siteId)} stops={shown} />
        )}
      </main>
      <aside aria-label="Entries">
        <Summary stops={stops} only={only} onOnly={setOnly} />
        <WorstDefects slice={slice} site={siteId} timeZone={site.timeZone} />
        <div className="filters">
          <TextInput
            type="search"
            aria-label="Search entries"
            placeholder="Search tag, cable, kind"
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
          <NativeSelect aria-label="Area" value={area} onChange={(event) => setArea(event.target.value)}>
            <option value="all">All areas</option>
            {areas.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </NativeSelect>
        </div>
        <ul className="stops">
          {shown.map(({ entry, enclosure, area: a, status, standing }) => (
            <li key={entry.id}>
              <a href={`/bench/?entry=${entry.id}&site=${siteId}`}>
                <SealGlyph state={glyphOfState(standing)} size={26} label={STATE_WORDS[standing]} />
                <span>
                  <b>
                    {enclosure.tag}, entry {entry.label}
                  </b>
                  <small>
                    {kindTitle(entry.kind)}, {a.name}
                  </small>
                </span>
                <small className={toneOf(glyphOfState(standing))}>{statusWords(status, site.timeZone)}</small>
              </a>
            </li>
          ))}
          {shown.length === 0 && (
            <li className="quiet none">No entry matches. Clear the search or the filter.</li>
          )}
        </ul>
      </aside>
    </div>
  );
}

function stopsOf(slice: Slice, site: string, statusOf: (entry: Id) => EntryStatus | null): Stop[] {
  return slice.by('entry', 'site', site).flatMap((entry) => {
    const enclosure = slice.get('enclosure', entry.enclosure);
    const area = enclosure && slice.get('area', enclosure.area);
    if (!area) return [];
    const status = statusOf(entry.id);
    return [{ entry, enclosure, area, status, standing: status ? standingState(status) : 'incomplete' }];
  });
}

function matches(
  { entry, enclosure, area, standing }: Stop,
  slice: Slice,
  text: string,
  only: EntryState | 'all',
  areaId: string,
): boolean {
  if (only !== 'all' && standing !== only) return false;
  if (areaId !== 'all' && area.id !== areaId) return false;
  const cable = entry.cable ? slice.get('cable', entry.cable)?.tag : '';
  const all =
    `${enclosure.tag} entry ${entry.label} ${kindTitle(entry.kind)} ${area.name} ${cable} ${entry.size}`.toLowerCase();
  return text
    .toLowerCase()
    .split(/\s+/)
    .every((word) => all.includes(word));
}

/** "sound, close, 3 Mar 2026". */
function statusWords(status: EntryStatus | null, timeZone: string): string {
  if (status === null) return 'being judged';
  const words = (state: EntryState, grade: Grade, at: string) =>
    `${STATE_WORDS[state].toLowerCase()}, ${GRADE_WORDS[grade].toLowerCase()}, ${day(at, timeZone)}`;
  const { state, grade, at, sealed_state, sealed_grade, sealed_at, running_round } = status;
  const runs = running_round === null ? '' : `${status.running_answered} of ${status.running_asked} answered`;
  if (sealed_state && sealed_grade && sealed_at && running_round !== null && state !== 'failed')
    return `${words(sealed_state, sealed_grade, sealed_at)}; ${runs} in the round`;
  return at === null ? 'not looked at' : words(state, grade, at);
}

function Summary({
  stops,
  only,
  onOnly,
}: {
  stops: readonly Stop[];
  only: EntryState | 'all';
  onOnly: (state: EntryState | 'all') => void;
}) {
  return (
    <div className="summary" role="group" aria-label="Show by state">
      {ENTRY_STATES.map((state) => (
        <UnstyledButton
          key={state}
          aria-pressed={only === state}
          onClick={() => onOnly(only === state ? 'all' : state)}
        >
          <SealGlyph state={glyphOfState(state)} size={22} label="" />
          <b className="figures">{stops.filter(({ standing }) => standing === state).length}</b>
          <small>{STATE_WORDS[state]}</small>
        </UnstyledButton>
      ))}
    </div>
  );
}

function WorstDefects({ slice, site, timeZone }: { slice: Slice; site: string; timeZone: string }) {
  const today = dayIn(now(), timeZone);
  // Done is not proven: until it is, its day counts.
  const unproven = slice.by('defect', 'site', site).filter(({ state }) => state !== 'proven');
  const open = unproven.filter(({ state }) => state !== 'done');
  const overdue = unproven.filter(({ due }) => due < today);
  const worst = [...open].sort((a, b) => b.severity - a.severity || (a.due < b.due ? -1 : 1)).slice(0, 2);
  if (unproven.length === 0) return null;
  return (
    <section className="worst" aria-label="Worst open defects">
      <h2>
        <a href={`/defects/?site=${site}`}>
          {open.length} open {open.length === 1 ? 'defect' : 'defects'}
          {overdue.length > 0 && `, ${overdue.length} overdue`}
        </a>
      </h2>
      {worst.map(({ id, severity, statement, due }) => (
        <p key={id}>
          <b className="tone-failed">Level {severity}</b>{' '}
          <a href={`/defects/?site=${site}&defect=${id}`}>{statement}</a>{' '}
          <span className={due < today ? 'tone-failed' : 'quiet'}>
            {due < today ? 'overdue since' : 'due'} {day(due)}
          </span>
        </p>
      ))}
    </section>
  );
}
