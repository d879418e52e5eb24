import { Button } from '@mantine/core';
import { useState } from 'react';
import { NEXT_STATES } from '../../core/record/apply-defect';
import type { Severity } from '../../core/defects/severity';
import type { Defect } from '../../core/record/types';
import { day } from '../../core/words/format';
import { DEFECT_STATE_WORDS } from '../../core/words/labels';
import { addPhotos } from '../bench/DefectSheet';
import { useDevice } from '../device';
import { give } from '../give';
import { LevelField } from '../LevelField';
import { PhotoRow } from '../PhotoRow';

/** One defect: what is wrong, what is done about it, by whom and when, and what happened so far. */
export function DefectDetail({ defect }: { defect: Defect }) {
  const { slice, people } = useDevice();
  const [owner, setOwner] = useState(defect.owner ?? '');
  const [action, setAction] = useState(defect.action);
  const [due, setDue] = useState(defect.due);
  const [level, setLevel] = useState<Severity>(defect.severity);
  const [reason, setReason] = useState('');
  const history = slice
    .by('change', 'site', defect.site)
    .filter((change) => change.records.some(({ id }) => id === defect.id));
  const save = () => {
    const set = {
      ...(owner !== (defect.owner ?? '') ? { owner: owner || null } : {}),
      ...(action !== defect.action ? { action } : {}),
      ...(level !== defect.severity ? { severity: level, severityReason: reason } : {}),
      ...(due !== defect.due ? { due } : {}),
    };
    if (Object.keys(set).length > 0) give('defect.edit', { id: defect.id, set }, 'The defect is changed.');
  };
  const move = (state: Defect['state']) =>
    give(
      'defect.edit',
      { id: defect.id, set: { state, ...(owner !== (defect.owner ?? '') ? { owner: owner || null } : {}) } },
      `The defect is ${DEFECT_STATE_WORDS[state].toLowerCase()}.`,
    );
  return (
    <div className="detail">
      <div>
        <p>{defect.statement}</p>
        <p className="quiet">{defect.basis}</p>
        <p className="quiet">
          Found {day(defect.foundAt)} by {defect.foundBy}. Level by the rules: {defect.computed}
          {defect.severityReason ? `; changed: ${defect.severityReason}` : ''}.
        </p>
        <p>
          <a href={`/bench/?entry=${defect.entry}&site=${defect.site}`}>Open the entry on the bench</a>
        </p>
        <PhotoRow photos={defect.photos} />
        <label className="field">
          <span>Add photos (JPEG or PNG, up to 12 MB each)</span>
          <input
            type="file"
            accept="image/jpeg,image/png"
            multiple
            onChange={(event) => void addPhotos(defect.id, event.target)}
          />
        </label>
        <h3>History</h3>
        <ul className="history">
          {history.map(({ id, at, by, kind, undone }) => (
            <li key={id}>
              {day(at)}, {by}: {kind.replace('defect.', '')}
              {undone ? ' (undone)' : ''}
            </li>
          ))}
          {history.length === 0 && <li className="quiet">Older than this device’s copy.</li>}
        </ul>
      </div>
      <div>
        <label className="field">
          <span>Owner</span>
          <input list="people" value={owner} onChange={(event) => setOwner(event.target.value)} />
          <datalist id="people">
            {people.map(({ id, name }) => (
              <option key={id} value={name} />
            ))}
          </datalist>
        </label>
        <label className="field">
          <span>What has to be done</span>
          <textarea rows={3} value={action} onChange={(event) => setAction(event.target.value)} />
        </label>
        <label className="field">
          <span>Due</span>
          <input type="date" value={due} onChange={(event) => setDue(event.target.value)} />
        </label>
        <LevelField
          standing={defect.severity}
          level={level}
          onLevel={setLevel}
          reason={reason}
          onReason={setReason}
        />
        <Button onClick={save} mr="sm" mb="sm">
          Keep changes
        </Button>
        {NEXT_STATES[defect.state].map((state) => (
          <Button key={state} variant="default" mr="sm" mb="sm" onClick={() => move(state)}>
            {MOVES[state]}
          </Button>
        ))}
      </div>
    </div>
  );
}

const MOVES: Record<Defect['state'], string> = {
  open: 'Open again',
  assigned: 'Assign',
  done: 'Mark as done',
  proven: 'Proven by re-inspection',
};
