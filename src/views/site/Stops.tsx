import { ENTRY_STATES, type EntryState } from '../../core/record/finding';
import type { Slice } from '../../core/record/slice';
import type { KindId } from '../../core/record/kind-ids';
import { standingState } from '../../core/record/standing';
import type { Area, Due, EntryStatus, Grade, Id, Standing } from '../../core/record/types';
import type { EntryRow } from '../../core/programme/lists';
import { dueWhen, DUE_WHENS } from '../../core/programme/due-when';
import { dueBecause, dueWords, WHEN_WORDS } from '../../core/words/en/due';
import { day } from '../../core/words/en/format';
import { kindTitle } from '../../core/words/en/kinds/kinds';
import { GRADE_WORDS, STATE_WORDS } from '../../core/words/en/labels';
import { glyphOfState } from '../../ui/glyph-state';
import { SealGlyph, toneOf } from '../../ui/heart/SealGlyph';
import { ListTable, type Column } from '../../ui/list/ListTable';
import { listed, naturally, type Listed, type Query } from '../../ui/list/source';
import type { Filter } from '../../ui/list/use-list';
import { surfaceOf } from '../hand/surface';
import type { Stop } from './stop';

/** How the entries of a site are searched, filtered and sorted. */
export const listedStops = (slice: Slice, today: string): Listed<Stop> => ({
  key: ({ entry }) => entry.id,
  words: ({ entry, enclosure, area }) =>
    `${enclosure.tag} entry ${entry.label} ${kindTitle(entry.kind)} ${area.name} ${entry.cable ? slice.get('cable', entry.cable)?.tag : ''} ${entry.size}`,
  only: {
    area: ({ area }, value) => area.id === value,
    due: ({ status }, value) => dueWhen(status?.due ?? null, today) === value,
  },
  sorts: {
    tag: (a, b) => naturally(nameOf(a), nameOf(b)),
    area: (a, b) => naturally(a.area.name, b.area.name) || naturally(nameOf(a), nameOf(b)),
    state: (a, b) =>
      ENTRY_STATES.indexOf(a.standing) - ENTRY_STATES.indexOf(b.standing) || naturally(nameOf(a), nameOf(b)),
    // What was never inspected comes first, what nothing asks for last.
    due: (a, b) => naturally(dueKey(a.status?.due), dueKey(b.status?.due)) || naturally(nameOf(a), nameOf(b)),
    time: (a, b) => naturally(b.status?.at ?? '', a.status?.at ?? ''),
  },
});

/** The entries of the site as a list; each leads to the surface that it is inspected on. */
export function Stops({
  slice,
  stops,
  areas,
  timeZone,
  today,
  onQuery,
}: {
  slice: Slice;
  stops: readonly Stop[];
  areas: readonly Area[];
  timeZone: string;
  today: string;
  onQuery?: (query: Query) => void;
}) {
  const columns = columnsOf(timeZone, today).map(({ cell, ...column }) => ({
    ...column,
    cell: (stop: Stop) => cell(ofStop(stop)),
  }));
  return (
    <ListTable
      className="stops"
      label="Entries"
      source={listed(stops, listedStops(slice, today))}
      onQuery={onQuery}
      search="Search entries"
      placeholder="Tag, cable, kind"
      filters={[
        {
          id: 'area',
          label: 'Area',
          options: [['', 'All areas'], ...areas.map(({ id, name }) => [id, name] as const)],
        },
        DUE_FILTER,
      ]}
      columns={columns}
      keyOf={({ entry }) => entry.id}
      hrefOf={({ entry }) => surfaceOf(entry)}
      empty={<p className="quiet">No entry is in this state.</p>}
    />
  );
}

/** By the programme: when entries are due. */
export const DUE_FILTER: Filter = {
  id: 'due',
  label: 'By programme',
  options: [['', 'Any day'], ...DUE_WHENS.map((when) => [when, WHEN_WORDS[when]] as const)],
};

/** What a list shows of an entry. */
export interface Line {
  id: Id;
  title: string;
  kind: KindId;
  area: string;
  status: Standing | null;
  standing: EntryState;
}

const ofStop = (stop: Stop): Line => ({
  id: stop.entry.id,
  title: nameOf(stop),
  kind: stop.entry.kind,
  area: stop.area.name,
  status: stop.status,
  standing: stop.standing,
});

/** The same of an entry as the server lists it. */
export const lineOf = ({ id, title, kind, area, status }: EntryRow): Line => ({
  id,
  title,
  kind,
  area: area.name,
  status,
  standing: standingState(status),
});

const nameOf = ({ enclosure, entry }: Stop): string => `${enclosure.tag}, entry ${entry.label}`;

const dueKey = (due: Due | null | undefined): string => (due ? (due.day ?? '0') : '9999');

/** What a list of entries shows. */
export const columnsOf = (timeZone: string, today: string): readonly Column<Line>[] => [
  {
    id: 'tag',
    title: 'Entry',
    sorts: true,
    cell: ({ title, kind, area, standing }) => (
      <>
        <SealGlyph state={glyphOfState(standing)} size={26} label={STATE_WORDS[standing]} />
        <span>
          <b>{title}</b>
          <small className="quiet">
            {kindTitle(kind)}, {area}
          </small>
        </span>
      </>
    ),
  },
  {
    id: 'state',
    title: 'State',
    sorts: true,
    cell: ({ status, standing }) => (
      <small className={toneOf(glyphOfState(standing))}>{statusWords(status, timeZone)}</small>
    ),
  },
  {
    id: 'due',
    title: 'Due',
    sorts: true,
    cell: ({ status }) =>
      status?.due && (
        <small className={dueWhen(status.due, today) === 'overdue' ? 'tone-failed' : ''}>
          {dueWords(status.due, today)}
          {status.due.reasons.some((reason) => reason !== 'site' && reason !== 'never') && (
            <span className="quiet">, {dueBecause(status.due)}</span>
          )}
        </small>
      ),
  },
];

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
