import { Button, Text } from '@mantine/core';
import { useState } from 'react';
import { now } from '../../client/clock';
import { dayIn } from '../../core/record/calendar';
import type { Slice } from '../../core/record/slice';
import type { Id } from '../../core/record/types';
import { ENTRY_STATES, type EntryState } from '../../core/record/finding';
import { count, day } from '../../core/words/en/format';
import { dueWhen, DUE_WHENS, type DueWhen } from '../../core/programme/due-when';
import { matching, type Query } from '../../ui/list/source';
import { Root, type ViewProps } from '../frame/Root';
import { useStatuses } from '../hand/hand';
import { FarSite } from './FarSite';
import { Judging } from './Judging';
import { Plan, type Counts } from './Plan';
import { stopsOf, type Stop } from './stop';
import { DueLine, Summary } from './Summary';
import { listedStops, Stops } from './Stops';
import './site.css';

/** Where things stand on a site. */
export default function Site() {
  return (
    <Root view="site">{(state) => (state.part ? <FarSite state={state} /> : <SiteOf state={state} />)}</Root>
  );
}

function SiteOf({ state }: ViewProps) {
  const { slice, site: siteId } = state;
  const [only, setOnly] = useState<EntryState | 'all'>('all');
  const [query, setQuery] = useState<Query>({ text: '', only: {}, sort: '' });
  const statusOf = useStatuses();
  const stops = stopsOf(slice, siteId, statusOf);
  const site = slice.get('site', siteId);
  const areas = slice.by('area', 'site', siteId);
  const shown = stops.filter(({ standing }) => only === 'all' || standing === only);
  // The plan shows what the list has found.
  const today = dayIn(now(), site?.timeZone ?? 'UTC');
  const found = new Set(matching(shown, listedStops(slice, today), query));
  const shows = (stop: Stop) => found.has(stop);
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
            {count(stops.length, 'entry', 'entries')} in {count(areas.length, 'area')}
          </p>
        </div>
        {stops.length === 0 ? (
          <Empty site={siteId} />
        ) : (
          <Plan
            areas={areas}
            enclosures={slice.by('enclosure', 'site', siteId)}
            stops={stops}
            shows={shows}
            counts={countsOf(slice, siteId, stops, today)}
          />
        )}
      </main>
      <aside aria-label="Entries">
        <Judging />
        <Summary counts={statesOf(stops)} only={only} onOnly={setOnly} />
        <DueLine counts={dueOf(stops, today)} />
        <WorstDefects slice={slice} site={siteId} timeZone={site.timeZone} />
        <Stops
          slice={slice}
          stops={shown}
          areas={areas}
          timeZone={site.timeZone}
          today={today}
          onQuery={setQuery}
        />
      </aside>
    </div>
  );
}

const Empty = ({ site }: { site: Id }) => (
  <div className="empty">
    <h2>Nothing to inspect yet</h2>
    <p>Make an area first, then an enclosure in it, then its entries; or import a cable schedule.</p>
    <Button component="a" href={`/dossier/?site=${site}`}>
      Open the dossier
    </Button>
  </div>
);

/** How many defects of each entry are open, and how much is overdue: defects, and its next inspection. */
function countsOf(slice: Slice, site: Id, stops: readonly Stop[], today: string): Counts {
  const counts = new Map<Id, { open: number; overdue: number }>();
  for (const { entry, state, due } of slice.by('defect', 'site', site)) {
    if (state === 'proven') continue;
    const own = counts.get(entry) ?? { open: 0, overdue: 0 };
    counts.set(entry, { open: own.open + 1, overdue: own.overdue + (due < today ? 1 : 0) });
  }
  for (const { entry, status } of stops) {
    if (dueWhen(status?.due ?? null, today) !== 'overdue') continue;
    const own = counts.get(entry.id) ?? { open: 0, overdue: 0 };
    counts.set(entry.id, { ...own, overdue: own.overdue + 1 });
  }
  return counts;
}

/** How many entries are in which state. */
const statesOf = (stops: readonly Stop[]): Record<EntryState, number> =>
  Object.fromEntries(
    ENTRY_STATES.map((state) => [state, stops.filter(({ standing }) => standing === state).length]),
  ) as Record<EntryState, number>;

/** How many are due when, of those that the programme asks for. */
function dueOf(stops: readonly Stop[], today: string): Record<DueWhen, number> {
  const due = stops.flatMap(({ status }) => status?.due ?? []);
  return Object.fromEntries(
    DUE_WHENS.map((when) => [when, due.filter((one) => dueWhen(one, today) === when).length]),
  ) as Record<DueWhen, number>;
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
        <Text key={id} size="sm" lineClamp={2} my={4}>
          <b className="tone-failed">Level {severity}</b>{' '}
          <a href={`/defects/?site=${site}&defect=${id}`}>{statement}</a>{' '}
          <span className={due < today ? 'tone-failed' : 'quiet'}>
            {due < today ? 'overdue since' : 'due'} {day(due)}
          </span>
        </Text>
      ))}
    </section>
  );
}
