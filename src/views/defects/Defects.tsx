import { Box, Button } from '@mantine/core';
import { useState } from 'react';
import { fetched } from '../../ui/fetched';
import { Later } from '../../ui/Later';
import { exportAddress } from '../../client/api';
import { now } from '../../client/clock';
import { defectStatement } from '../../core/words/en/defects';
import { dayIn } from '../../core/record/calendar';
import type { Slice } from '../../core/record/slice';
import type { Defect } from '../../core/record/types';
import { count, day } from '../../core/words/en/format';
import { DEFECT_STATE_WORDS, SEVERITY_WORDS } from '../../core/words/en/labels';
import { ListTable, type Column } from '../../ui/list/ListTable';
import { listed, naturally, type Listed } from '../../ui/list/source';
import type { Filter } from '../../ui/list/use-list';
import { parameter } from '../hand/hand';
import { Root, type ViewProps } from '../frame/Root';
import './defects.css';

const DefectDetail = fetched(() => import('./DefectDetail'));

/** A defect with the words of where it is. */
interface LedgerLine {
  defect: Defect;
  where: string;
  overdue: boolean;
}

/** The ledger of a site's defects, by due date. */
export default function Defects() {
  return <Root view="defects">{(state) => <Ledger state={state} />}</Root>;
}

function Ledger({ state }: ViewProps) {
  const { slice, site } = state;
  const [entry, setEntry] = useState(parameter('entry'));
  const [open, setOpen] = useState<string | null>(parameter('defect'));
  const all = linesOf(slice, site).filter(({ defect }) => entry === null || defect.entry === entry);
  const owners = [...new Set(all.flatMap(({ defect }) => defect.owner ?? []))].sort();
  // A defect that somebody was led to is shown whatever its state.
  const led = parameter('defect') !== null || parameter('entry') !== null;
  return (
    <Box component="main" id="main" className="page" maw={1240} w="100%" mx="auto">
      <div className="title">
        <h1 style={{ flex: 1 }}>Defects</h1>
        <Button component="a" variant="default" href={exportAddress(site, 'defects.csv')} download>
          Export CSV
        </Button>
        <Button component="a" variant="default" href={exportAddress(site, 'defects.json')} download>
          Export JSON
        </Button>
      </div>
      <ListTable
        className="ledger"
        label="Defects"
        source={listed(all, LISTED)}
        start={{ sort: 'due', only: { state: led ? '' : 'unproven' } }}
        search="Search defects"
        placeholder="Tag, check, statement"
        filters={[...FILTERS, { id: 'owner', label: 'Owner', options: [['', 'All owners'], ['none', 'No owner'], ...owners.map((one) => [one, one] as const)] }]}
        columns={COLUMNS}
        keyOf={({ defect }) => defect.id}
        onOpen={(id) => setOpen(open === id ? null : id)}
        open={open}
        detail={({ defect, overdue }) => (
          <Later key={defect.id}>
            <DefectDetail defect={defect} overdue={overdue} />
          </Later>
        )}
        rowClass={({ defect: { severity } }) => `level-${severity} state-${LEVEL_STATES[severity]}`}
        beside={entry && <Button variant="default" onClick={() => setEntry(null)}>One entry only ×</Button>}
        empty={
          <div className="empty">
            <h2>No defects yet</h2>
            <p>A failed check on the bench raises one with a single key.</p>
          </div>
        }
      />
    </Box>
  ); // prettier-ignore
}

/** How the mark of a level is coloured. */
const LEVEL_STATES = { 4: 'failed', 3: 'failed', 2: 'close', 1: 'none' } as const;

const FILTERS: readonly Filter[] = [
  {
    id: 'state',
    label: 'State',
    options: [['', 'All states'], ['unproven', 'Not proven yet'], ...Object.entries(DEFECT_STATE_WORDS)],
  },
  {
    id: 'level',
    label: 'Level',
    options: [['', 'All levels'], ...([4, 3, 2, 1] as const).map((n) => [`${n}`, `${n}: ${SEVERITY_WORDS[n]}`] as const)],
  },
]; // prettier-ignore

/** How the ledger is searched, filtered and sorted. */
const LISTED: Listed<LedgerLine> = {
  key: ({ defect }) => defect.id,
  words: ({ defect, where }) =>
    `${where} ${defect.check} ${defectStatement(defect)} ${defect.action} ${defect.owner}`,
  only: {
    state: ({ defect }, value) => (value === 'unproven' ? defect.state !== 'proven' : defect.state === value),
    level: ({ defect }, value) => `${defect.severity}` === value,
    owner: ({ defect }, value) => (value === 'none' ? defect.owner === null : defect.owner === value),
  },
  sorts: {
    due: (a, b) => (a.defect.due < b.defect.due ? -1 : a.defect.due > b.defect.due ? 1 : b.defect.severity - a.defect.severity),
    where: (a, b) => naturally(a.where, b.where),
    state: (a, b) => naturally(a.defect.state, b.defect.state) || naturally(a.where, b.where),
  },
}; // prettier-ignore

const COLUMNS: readonly Column<LedgerLine>[] = [
  {
    id: 'where',
    title: 'Where',
    sorts: true,
    cell: ({ defect, where }) => (
      <>
        <span className="level figures" role="img" aria-label={`Level ${defect.severity}`}>
          {defect.severity}
        </span>
        <span>
          <b>{where}</b>
          <small className="quiet">{besideWords(defect)}</small>
        </span>
      </>
    ),
  },
  {
    id: 'due',
    title: 'Due',
    sorts: true,
    cell: ({ defect, overdue }) => (
      <>
        <b className="figures">{day(defect.due)}</b>
        <small className={overdue ? 'tone-failed overdue' : 'quiet'}>
          {!overdue ? SEVERITY_WORDS[defect.severity] : defect.state === 'done' ? 'overdue: not proven' : 'overdue'}
        </small>
      </>
    ),
  },
  { id: 'statement', title: 'What fails', cell: ({ defect }) => <span className="statement">{defectStatement(defect)}</span> },
  {
    id: 'state',
    title: 'State, owner',
    sorts: true,
    cell: ({ defect }) => (
      <>
        <b>{DEFECT_STATE_WORDS[defect.state]}</b>
        <small className="quiet">{defect.owner ?? 'no owner'}</small>
      </>
    ),
  },
]; // prettier-ignore

/** "E-11, repeat 1, 2 photos". */
const besideWords = ({ check, repeats, photos }: Defect): string =>
  [
    check ?? 'Observation',
    repeats > 0 && `repeat ${repeats}`,
    photos.length > 0 && count(photos.length, 'photo'),
  ]
    .filter(Boolean)
    .join(', ');

function linesOf(slice: Slice, site: string): LedgerLine[] {
  const today = dayIn(now(), slice.get('site', site)?.timeZone ?? 'UTC');
  return slice.by('defect', 'site', site).map((defect) => {
    const entry = slice.get('entry', defect.entry);
    const tag = entry ? (slice.get('enclosure', entry.enclosure)?.tag ?? '') : '';
    // Done is not proven: until it is, its day counts.
    const overdue = defect.state !== 'proven' && defect.due < today;
    return { defect, where: `${tag}, entry ${entry?.label ?? ''}`, overdue };
  });
}
