import { Button } from '@mantine/core';
import type { ReactNode } from 'react';
import { exportAddress } from '../../client/api';
import { defectStatement } from '../../core/words/en/defects';
import type { Defect, Id } from '../../core/record/types';
import { count, day } from '../../core/words/en/format';
import { DEFECT_STATE_WORDS, SEVERITY_WORDS } from '../../core/words/en/labels';
import type { Column } from '../../ui/list/ListTable';
import type { Filter } from '../../ui/list/use-list';

/** A defect with the words of where it is. */
export interface LedgerLine {
  defect: Defect;
  where: string;
  overdue: boolean;
}

/** Done is not proven: until it is, its day counts. */
export const lineOf = (defect: Defect, where: string, today: string): LedgerLine => ({
  defect,
  where,
  overdue: defect.state !== 'proven' && defect.due < today,
});

/** How the mark of a level is coloured. */
const LEVEL_STATES = { 4: 'failed', 3: 'failed', 2: 'close', 1: 'none' } as const;

/** The name of the view, and its files. */
export const LedgerTitle = ({ site, children }: { site: Id; children?: ReactNode }) => (
  <div className="title">
    <h1 style={{ flex: 1 }}>Defects</h1>
    {children}
    {(['csv', 'json'] as const).map((type) => (
      <Button
        key={type}
        component="a"
        variant="default"
        href={exportAddress(site, `defects.${type}`)}
        download
      >
        Export {type.toUpperCase()}
      </Button>
    ))}
  </div>
);

/** What to do first where there is none. */
export const NO_DEFECT = (
  <div className="empty">
    <h2>No defects yet</h2>
    <p>A failed check on the bench raises one with a single key.</p>
  </div>
);

/** By state and by level. */
export const FILTERS: readonly Filter[] = [
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

/** The class of a line: how its level is marked. */
export const rowClass = ({ defect: { severity } }: LedgerLine): string =>
  `level-${severity} state-${LEVEL_STATES[severity]}`;

/** What the ledger shows. */
export const COLUMNS: readonly Column<LedgerLine>[] = [
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
