import { Button, Textarea, TextInput, Group } from '@mantine/core';
import { useState } from 'react';
import { defectStatement } from '../../core/words/en/defects';
import { NEXT_STATES } from '../../core/record/defect-states';
import type { Defect } from '../../core/record/types';
import { day } from '../../core/words/en/format';
import { historyOf } from '../../core/words/en/history';
import { DEFECT_STATE_WORDS } from '../../core/words/en/labels';
import { FileChoice } from '../../ui/FileChoice';
import { addPhotos } from '../hand/keep-photos';
import { useDefectForm } from '../judging/defect-form';
import { device, parameter, useDevice } from '../hand/hand';
import { HistoryList } from '../judging/HistoryList';
import { LevelField } from '../judging/LevelField';
import { PhotoRow } from '../judging/PhotoRow';
import { defectWords } from './defect-words';

interface DefectDetailProps {
  defect: Defect;
  overdue: boolean;
}

/** One defect: what is wrong, what is done about it, by whom and when, and what happened so far. */
export default function DefectDetail({ defect, overdue }: DefectDetailProps) {
  return (
    <Group gap={28} align="flex-start" px="md" pb="md">
      <div>
        <WhatIsWrong defect={defect} />
        <PhotoRow photos={defect.photos} />
        <FileChoice
          title="Add photos"
          accept="image/jpeg,image/png"
          multiple
          onFiles={(files) => void addPhotos(defect.id, files)}
        />
        <p className="quiet">JPEG or PNG, up to 12 MB each; the location is taken out.</p>
        <DefectHistory defect={defect} />
      </div>
      <DefectFields defect={defect} overdue={overdue} />
    </Group>
  );
}

const WhatIsWrong = ({ defect }: { defect: Defect }) => (
  <>
    <p>{defectStatement(defect)}</p>
    <p className="quiet">{defect.basis}</p>
    <p className="quiet">
      Found {day(defect.foundAt)} by {defect.foundBy}. Level by the rules: {defect.computed}
      {defect.severityReason ? `; changed: ${defect.severityReason}` : ''}.
    </p>
    <p>
      <a href={`/bench/?entry=${defect.entry}&site=${defect.site}`}>Open the entry on the bench</a>
    </p>
    {defect.state !== 'proven' && (
      <p>
        <Button variant="default" onClick={() => void reinspect(defect)}>
          Re-inspect it
        </Button>
      </p>
    )}
  </>
);

/** Starts looking at a defect again and goes there; where the entry is not on this device, the bench starts it. */
async function reinspect(defect: Defect): Promise<void> {
  const { slice } = device.state();
  if (slice.get('entry', defect.entry)) {
    const { startProof } = await import('../judging/reinspect');
    if (startProof(slice, defect) === null) return;
    // The round has to be kept before this page goes.
    await device.flush();
  }
  location.assign(`/bench/?entry=${defect.entry}&site=${defect.site}&defect=${defect.id}`);
}

function DefectHistory({ defect }: { defect: Defect }) {
  const { slice } = useDevice();
  const history = slice
    .by('change', 'site', defect.site)
    .filter((change) => change.records.some(({ id }) => id === defect.id));
  return (
    <>
      <h3>History</h3>
      <HistoryList lines={historyOf(history, defect.id, defect, defectWords)} />
      {history.length === 0 && <p className="quiet">Older than this device’s copy.</p>}
    </>
  );
}

/** The change of a defect that the server did not take, where the page's address names it. */
function useMended(defect: Defect) {
  const { refused } = useDevice();
  const [mended] = useState(() => {
    const named = refused.find(({ command }) => command.id === parameter('refused'));
    const of = named?.command.kind === 'defect.edit' && named.command.payload.id === defect.id;
    return of ? named : null;
  });
  return mended;
}

function DefectFields({ defect, overdue }: DefectDetailProps) {
  const { people } = useDevice();
  const { form, dirty, keep, problem } = useDefectForm(defect, useMended(defect));
  const move = (state: Defect['state']) =>
    keep(state, `The defect is ${DEFECT_STATE_WORDS[state].toLowerCase()}.`);
  return (
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
  );
}

const MOVES: Record<Defect['state'], string> = {
  open: 'Open again',
  assigned: 'Assign',
  done: 'Mark as done',
  proven: 'Proven by re-inspection',
};
