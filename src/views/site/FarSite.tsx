import { Button, Group, NativeSelect, Text } from '@mantine/core';
import { useMemo, useState, type ReactNode } from 'react';
import { lists } from '../../client/lists';
import type { EntryRow } from '../../core/programme/lists';
import { now } from '../../client/clock';
import { dayIn } from '../../core/record/calendar';
import type { EntryState } from '../../core/record/finding';
import type { Area, Id } from '../../core/record/types';
import { count } from '../../core/words/en/format';
import { FarTable } from '../../ui/list/FarTable';
import type { Column } from '../../ui/list/ListTable';
import type { FarSource } from '../../ui/list/source';
import type { ViewProps } from '../frame/Root';
import { surfaceOf } from '../hand/surface';
import { AreaGroups } from './AreaGroups';
import { farEntries } from '../hand/FarEntries';
import { useAsked } from '../hand/use-asked';
import { Judging } from './Judging';
import { OnDevice } from './OnDevice';
import { DueLine, Summary } from './Summary';
import { columnsOf, DUE_FILTER, lineOf, Stops, type Line } from './Stops';
import { stopsOf } from './stop';
import { useStatuses } from '../hand/hand';

/** Where things stand on a site that is too large to lie on a device: asked of the server, page by page. */
export function FarSite({ state }: ViewProps) {
  const { slice, site: siteId } = state;
  const site = slice.get('site', siteId)!;
  const today = dayIn(now(), site.timeZone);
  const areas = slice.by('area', 'site', siteId);
  const [only, setOnly] = useState<EntryState | 'all'>('all');
  const [area, setArea] = useState<Id | null>(null);
  const [asked, setAsked] = useState(0);
  const counts = useAsked((signal) => lists.counts(siteId, signal), `${siteId} ${asked}`);
  const groups = useAsked((signal) => lists.areas(siteId, signal), `${siteId} ${asked}`);
  const of = counts.answer?.of ?? null;
  const source = useMemo(
    () => farEntries(siteId, { state: only === 'all' ? null : only, area }, asked),
    [siteId, only, area, asked],
  );
  return (
    <div className="site">
      <main id="main">
        <Group className="title" gap="sm">
          <h1>{site.name}</h1>
          <Text c="dimmed" flex="1 1 160px">
            {count(of ?? 0, 'entry', 'entries')} in {count(areas.length, 'area')}
          </Text>
          <Button variant="default" onClick={() => setAsked(asked + 1)}>
            Ask again
          </Button>
        </Group>
        {groups.problem && <Away problem={groups.problem} />}
        <AreaGroups areas={areas} counts={groups.answer ?? []} version={asked} chosen={area} onChoose={setArea} />
        <OnDevice state={state} area={areas.find(({ id }) => id === area) ?? null} />
      </main>
      <aside aria-label="Entries">
        <Judging />
        {counts.answer && (
          <>
            <Summary counts={counts.answer.state} only={only} onOnly={setOnly} />
            <DueLine counts={counts.answer.due} />
          </>
        )}
        {counts.problem ? (
          <Here state={state} today={today} area={area} />
        ) : (
          <Entries site={siteId} source={source} near={<Here state={state} today={today} area={area} />} columns={columnsOf(site.timeZone, today)} areas={areas} area={area} onArea={setArea} />
        )}
      </aside>
    </div>
  ); // prettier-ignore
}

function Entries({
  site,
  source,
  near,
  columns,
  areas,
  area,
  onArea,
}: {
  site: Id;
  source: FarSource<EntryRow>;
  /** The same of what is on this device. */
  near: ReactNode;
  columns: readonly Column<Line>[];
  areas: readonly Area[];
  area: Id | null;
  onArea: (area: Id | null) => void;
}) {
  return (
    <FarTable
      className="stops"
      label="Entries"
      source={source}
      near={near}
      start={{ sort: 'tag' }}
      search="Search entries"
      placeholder="Tag, cable, kind"
      filters={[DUE_FILTER]}
      columns={columns.map(({ cell, ...column }) => ({ ...column, cell: (row: EntryRow) => cell(lineOf(row)) }))}
      keyOf={({ id }) => id}
      hrefOf={({ id, kind }) => surfaceOf({ id, kind, site })}
      beside={
        <NativeSelect
          flex="1 1 130px"
          label="Area"
          value={area ?? ''}
          data={[{ value: '', label: 'All areas' }, ...areas.map(({ id, name }) => ({ value: id, label: name }))]}
          onChange={({ currentTarget }) => onArea(currentTarget.value || null)}
        />
      }
      empty={<p className="empty">No entry yet. Make an area, an enclosure and its entries under Dossier.</p>}
    />
  ); // prettier-ignore
}

const Away = ({ problem }: { problem: string }) => (
  <p role="alert" className="tone-failed">
    {problem} What was taken along is here all the same.
  </p>
);

/** Entries that are on this device, of the area that is chosen, while the server is away. */
function Here({ state, today, area }: ViewProps & { today: string; area: Id | null }) {
  const { slice, site } = state;
  const statusOf = useStatuses();
  const here = stopsOf(slice, site, statusOf).filter(({ status }) => status !== null);
  const stops = here.filter(({ enclosure }) => area === null || enclosure.area === area);
  const areas = slice.by('area', 'site', site);
  return (
    <>
      <Text size="sm" my={6} role="status">
        Away from the server: {count(stops.length, 'entry', 'entries')}{area === null ? '' : ' of this area'} on this device.
      </Text>
      <Stops slice={slice} stops={stops} areas={areas} timeZone={slice.get('site', site)!.timeZone} today={today} />
    </>
  );
} // prettier-ignore
