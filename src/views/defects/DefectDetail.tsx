import { Button, Textarea, TextInput } from '@mantine/core';
import { useState } from 'react';
import { defectStatement } from '../../core/words/en/defects';
import { NEXT_STATES } from '../../core/defects/states';
import type { Defect } from '../../core/record/types';
import { day } from '../../core/words/en/format';
import { historyOf } from '../../core/words/en/history';
import { DEFECT_STATE_WORDS } from '../../core/words/en/labels';
import { FileChoice } from '../../ui/FileChoice';
import { addPhotos } from '../hand/keep-photos';
import { useDefectForm } from '../judging/defect-form';
import { parameter, useDevice } from '../hand/hand';
import { HistoryList } from '../judging/HistoryList';
import { LevelField } from '../judging/LevelField';
import { PhotoRow } from '../judging/PhotoRow';
import { defectWords } from './defect-words';

/** One defect: what is wrong, what is done about it, by whom and when, and what happened so far. */
export function DefectDetail({ defect, overdue }: { defect: Defect; overdue: boolean }) {
  const { slice, people, refused } = useDevice();
  const [mended] = useState(
    () =>
      refused.find(
        ({ command }) =>
          command.id === parameter('refused') &&
          command.kind === 'defect.edit' &&
          command.payload.id === defect.id,
      ) ?? null,
  );
  const { form, dirty, keep, problem } = useDefectForm(defect, mended);
  const history = slice
    .by('change', 'site', defect.site)
    .filter((change) => change.records.some(({ id }) => id === defect.id));
  const move = (state: Defect['state']) =>
    keep(state, `The defect is ${DEFECT_STATE_WORDS[state].toLowerCase()}.`);
  return (
    <div className="detail">
      <div>
        <p>{defectStatement(defect)}</p>
        <p className="quiet">{defect.basis}</p>
        <p className="quiet">
          Found {day(defect.foundAt)} by {defect.foundBy}. Level by the rules: {defect.computed}
          {defect.severityReason ? `; changed: ${defect.severityReason}` : ''}.
        </p>
        <p>
          <a href={`/bench/?entry=${defect.entry}&site=${defect.site}`}>Open the entry on the bench</a>
        </p>
        <PhotoRow photos={defect.photos} />
        <FileChoice
          title="Add photos"
          accept="image/jpeg,image/png"
          multiple
          onFiles={(files) => void addPhotos(defect.id, files)}
        />
        <p className="quiet">JPEG or PNG, up to 12 MB each; the location is taken out.</p>
        <h3>History</h3>
        <HistoryList lines={historyOf(history, defect.id, defect, defectWords)} />
        {history.length === 0 && <p className="quiet">Older than this device’s copy.</p>}
      </div>
      <div>
        <TextInput label="Owner" list="people" {...form.getInputProps('owner')} />
        <datalist id="people">
          {people.map(({ id, name }) => (
            <option key={id} value={name} />
          ))}
        </datalist>
        <Textarea label="What has to be done" rows={3} {...form.getInputProps('action')} />
        <TextInput type="date" label={overdue ? 'Due: overdue' : 'Due'} {...form.getInputProps('due')} />
        <LevelField
          standing={defect.severity}
          level={form.values.level}
          onLevel={(level) => form.setFieldValue('level', level)}
          reason={form.values.reason}
          onReason={(reason) => form.setFieldValue('reason', reason)}
          problem={(form.errors.reason as string | undefined) ?? null}
        />
        <p className="quiet" role="status">
          {dirty ? 'Changed here and not kept yet: every button below keeps it.' : ''}
        </p>
        {problem && (
          <p role="alert" className="tone-failed">
            {problem}
          </p>
        )}
        <Button onClick={() => keep()} mr="sm" mb="sm">
          Keep changes
        </Button>
        {NEXT_STATES[defect.state].map((state) => (
          <Button key={state} variant="default" mr="sm" mb="sm" onClick={() => void move(state)}>
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
