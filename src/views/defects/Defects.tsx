import { NativeSelect, TextInput, UnstyledButton } from '@mantine/core';
import { useState } from 'react';
import { exportAddress } from '../../client/api';
import { now } from '../../client/clock';
import { defectStatement } from '../../core/words/en/said';
import { dayIn } from '../../core/record/calendar';
import type { Slice } from '../../core/record/slice';
import type { Defect } from '../../core/record/types';
import { day } from '../../core/words/en/format';
import { DEFECT_STATE_WORDS, SEVERITY_WORDS } from '../../core/words/en/labels';
import { parameter, useDevice } from '../hand/hand';
import { Root, type ViewProps } from '../frame/Root';
import { DefectDetail } from './DefectDetail';
import './defects.css';

/** A defect with the words of where it is. */
interface LedgerLine {
  defect: Defect;
  where: string;
  overdue: boolean;
}

/** The ledger of a site's defects, by due date. */
export default function Defects() {
  const state = useDevice();
  return <Root view="defects">{() => <Ledger state={state as ViewProps['state']} />}</Root>;
}

function Ledger({ state }: ViewProps) {
  const { slice, site } = state;
  const [text, setText] = useState('');
  const [show, setShow] = useState<Defect['state'] | 'unproven' | 'all'>(
    parameter('defect') || parameter('entry') ? 'all' : 'unproven',
  );
  const [level, setLevel] = useState('all');
  const [owner, setOwner] = useState('all');
  const [entry, setEntry] = useState(parameter('entry'));
  const [open, setOpen] = useState<string | null>(parameter('defect'));
  const all = linesOf(slice, site);
  const owners = [...new Set(all.flatMap(({ defect }) => defect.owner ?? []))].sort();
  const shown = all.filter(({ defect, where }) => {
    if (entry && defect.entry !== entry) return false;
    if (show === 'unproven' ? defect.state === 'proven' : show !== 'all' && defect.state !== show)
      return false;
    if (level !== 'all' && defect.severity !== Number(level)) return false;
    if (owner !== 'all' && (defect.owner ?? '') !== owner) return false;
    const words =
      `${where} ${defect.check} ${defectStatement(defect)} ${defect.action} ${defect.owner}`.toLowerCase();
    return text
      .toLowerCase()
      .split(/\s+/)
      .every((word) => words.includes(word));
  });
  return (
    <main id="main" className="defects">
      <div className="title">
        <h1>Defects</h1>
        <p className="quiet">
          {shown.length} of {all.length}, by due date
        </p>
        <a className="export" href={exportAddress(site, 'defects.csv')} download>
          Export CSV
        </a>
        <a className="export" href={exportAddress(site, 'defects.json')} download>
          Export JSON
        </a>
      </div>
      <div className="filters">
        <TextInput
          type="search"
          aria-label="Search defects"
          placeholder="Search tag, check, statement"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <NativeSelect
          aria-label="State"
          value={show}
          onChange={(event) => setShow(event.target.value as typeof show)}
        >
          <option value="unproven">Not proven yet</option>
          <option value="all">All states</option>
          {Object.entries(DEFECT_STATE_WORDS).map(([id, word]) => (
            <option key={id} value={id}>
              {word}
            </option>
          ))}
        </NativeSelect>
        <NativeSelect aria-label="Level" value={level} onChange={(event) => setLevel(event.target.value)}>
          <option value="all">All levels</option>
          {([4, 3, 2, 1] as const).map((n) => (
            <option key={n} value={n}>
              {n}: {SEVERITY_WORDS[n]}
            </option>
          ))}
        </NativeSelect>
        <NativeSelect aria-label="Owner" value={owner} onChange={(event) => setOwner(event.target.value)}>
          <option value="all">All owners</option>
          <option value="">No owner</option>
          {owners.map((name) => (
            <option key={name}>{name}</option>
          ))}
        </NativeSelect>
        {entry && <UnstyledButton onClick={() => setEntry(null)}>One entry only ×</UnstyledButton>}
      </div>
      {shown.length === 0 ? (
        <div className="empty">
          <h2>{all.length === 0 ? 'No defects yet' : 'Nothing matches'}</h2>
          <p>
            {all.length === 0
              ? 'A failed check on the bench raises one with a single key.'
              : 'Clear the search or choose another state.'}
          </p>
        </div>
      ) : (
        <ol className="ledger">
          {shown.map((line) => (
            <Line
              key={line.defect.id}
              line={line}
              open={open === line.defect.id}
              onToggle={() => setOpen(open === line.defect.id ? null : line.defect.id)}
            />
          ))}
        </ol>
      )}
    </main>
  );
}

function Line({ line, open, onToggle }: { line: LedgerLine; open: boolean; onToggle: () => void }) {
  const { defect, where, overdue } = line;
  return (
    <li className={`level-${defect.severity}`} data-defect={defect.id}>
      <UnstyledButton className="plain line" onClick={onToggle} aria-expanded={open}>
        <span className="level figures" aria-label={`Level ${defect.severity}`}>
          {defect.severity}
        </span>
        <span>
          <b className="figures">{day(defect.due)}</b>
          <small className={overdue ? 'tone-failed overdue' : 'quiet'}>
            {overdue
              ? defect.state === 'done'
                ? 'overdue: not proven'
                : 'overdue'
              : SEVERITY_WORDS[defect.severity]}
          </small>
        </span>
        <span>
          <b>{where}</b>
          <small className="quiet">
            {defect.check ?? 'Observation'}
            {defect.repeats > 0 ? `, repeat ${defect.repeats}` : ''}
            {defect.photos.length > 0
              ? `, ${defect.photos.length} ${defect.photos.length === 1 ? 'photo' : 'photos'}`
              : ''}
          </small>
        </span>
        <span className="statement">{defectStatement(defect)}</span>
        <span>
          <b>{DEFECT_STATE_WORDS[defect.state]}</b>
          <small className="quiet">{defect.owner ?? 'no owner'}</small>
        </span>
      </UnstyledButton>
      {open && <DefectDetail key={defect.id} defect={defect} overdue={overdue} />}
    </li>
  );
}

function linesOf(slice: Slice, site: string): LedgerLine[] {
  const today = dayIn(now(), slice.get('site', site)?.timeZone ?? 'UTC');
  return slice
    .by('defect', 'site', site)
    .map((defect) => {
      const entry = slice.get('entry', defect.entry);
      const tag = entry ? (slice.get('enclosure', entry.enclosure)?.tag ?? '') : '';
      // Done is not proven: until it is, its day counts.
      const overdue = defect.state !== 'proven' && defect.due < today;
      return { defect, where: `${tag}, entry ${entry?.label ?? ''}`, overdue };
    })
    .sort((a, b) =>
      a.defect.due < b.defect.due
        ? -1
        : a.defect.due > b.defect.due
          ? 1
          : b.defect.severity - a.defect.severity,
    );
}
